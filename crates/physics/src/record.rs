//! The median run written down: its curve, the inside of the piece, and what left it.

use crate::body::{SHELLS, shell_fractions};
use crate::case::{Case, End};
use crate::how::How;
use crate::juices::{Around, Juices, PartLosses, Piece};
use crate::medium::Medium;
use crate::members::{Member, PieceDrawn as Animal};
use crate::parameters::Juice;
use crate::part::Part;
use crate::run::{HORIZON_S, Moment, Times, Watch, run};
use crate::units::{HOUR_S, MINUTE_S};
use ergastic_cancel::Cancelled;

/// The median run at one moment. Temperatures and doses are of the first part.
#[derive(Debug, Clone)]
pub struct Frame {
    /// Since the meat met the heat, s.
    pub time_s: f64,
    /// Shells from the middle out, °C.
    pub celsius: [f64; SHELLS],
    /// Tender-hours of each shell, where the inside is asked for.
    pub dose: [f64; SHELLS],
    /// The very surface, °C.
    pub surface_c: f64,
    /// What surrounds the meat, °C.
    pub medium_c: f64,
    /// The air of the oven or pit, °C; what surrounds the meat where there is none.
    pub air_c: f64,
    /// Mean tender-hours.
    pub mean_dose: f64,
    /// The stage it is in.
    pub stage: usize,
    /// Liquid in the pot, L.
    pub liquid_l: f64,
    /// Every drop of it has left as steam as soon as it came.
    pub ran_dry: bool,
    /// Left as steam so far, from the pot and from meat in the pit, kg.
    pub steam_kg: f64,
    /// Salt in the liquid, g.
    pub salt_g: f64,
    /// Juice, fat, gelatin, yield of all parts.
    pub left: PartLosses,
}

/// So long a pot may take to fill with juice of its own before it counts as dry, s. Practice.
const JUICE_COMES_S: f64 = 30.0 * MINUTE_S;

/// A median run, written down.
#[derive(Debug, Clone)]
pub struct Record {
    /// What became of it.
    pub times: Times,
    /// Frames, in time order; never empty.
    pub frames: Vec<Frame>,
    /// When the coldest middle was warm, s.
    pub warm_s: Option<f64>,
    /// When each stage ended, s; infinite while it goes on.
    pub stage_ends_s: Vec<f64>,
    /// When the pot runs dry, s; juice from the meat counts, but only what has left by then.
    pub dry_s: Option<f64>,
}

impl Record {
    /// The frame nearest to a time.
    pub fn at(&self, time_s: f64) -> &Frame {
        let after = self.frames.partition_point(|frame| frame.time_s < time_s).min(self.frames.len() - 1);
        let before = after.saturating_sub(1);
        let nearer = time_s - self.frames[before].time_s < self.frames[after].time_s - time_s;
        &self.frames[if nearer { before } else { after }]
    }
}

/// Writes a frame every few minutes.
pub(crate) struct Recorder<'a> {
    case: &'a Case,
    every_s: f64,
    /// When it writes next, s.
    next_s: f64,
    until_s: f64,
    warm_c: f64,
    juices: Vec<Juices>,
    /// Softening rate of each shell at the last step's end.
    rates: [f64; SHELLS],
    dose: [f64; SHELLS],
    salt_g: f64,
    boiled_out: f64,
    frames: Vec<Frame>,
    warm_s: Option<f64>,
    stage_ends_s: Vec<f64>,
}

impl<'a> Recorder<'a> {
    /// A recorder that writes every `every_s` seconds, ends the run after `until_s`, and notes when the middle is so warm, °C.
    pub(crate) fn new(case: &'a Case, every_s: f64, until_s: f64, warm_c: f64) -> Self {
        let start = Frame {
            time_s: 0.0,
            celsius: [case.start_c; SHELLS],
            dose: [0.0; SHELLS],
            surface_c: case.start_c,
            medium_c: case.first().medium.start_c(case.liquid_start_c),
            air_c: case.first().medium.air_c().unwrap_or_else(|| case.first().medium.start_c(case.liquid_start_c)),
            mean_dose: 0.0,
            stage: 0,
            liquid_l: if case.first().medium.is_pot() { case.liquid_l } else { 0.0 },
            ran_dry: false,
            steam_kg: 0.0,
            salt_g: case.liquid_salt_g,
            left: case
                .parts
                .iter()
                .map(|part| raw(&case.model.p.juice, part))
                .fold(PartLosses::default(), PartLosses::plus),
        };
        Self {
            case,
            every_s,
            next_s: every_s,
            until_s,
            warm_c,
            juices: vec![Juices::default(); case.parts.len()],
            rates: [0.0; SHELLS],
            dose: [0.0; SHELLS],
            salt_g: case.liquid_salt_g,
            boiled_out: 0.0,
            frames: vec![start],
            warm_s: None,
            stage_ends_s: vec![f64::INFINITY; case.stages.len()],
        }
    }

    /// What was written down of a run that came to this.
    pub(crate) fn of(self, times: Times) -> Record {
        let dry = |frame: &&Frame| {
            let stage = &self.case.stages[frame.stage];
            stage.medium.is_pot()
                && (frame.ran_dry || frame.liquid_l <= stage.vessel.floor_m2 * self.case.model.p.pot.dry_m * 1000.0)
        };
        // Where nothing is poured the juice has to come first, of the meat and of what softens beside it.
        let wet = |frame: &&Frame| !dry(frame) || frame.time_s >= JUICE_COMES_S;
        let dry_s = self.frames.iter().skip_while(|frame| !wet(frame)).find(dry).map(|frame| frame.time_s);
        Record { times, frames: self.frames, warm_s: self.warm_s, stage_ends_s: self.stage_ends_s, dry_s }
    }

    fn write(&mut self, moment: &Moment<1>) {
        let case = self.case;
        let p = &case.model.p;
        let since_s = moment.time_s - self.frames.last().map_or(0.0, |frame| frame.time_s);
        let (main, around) = (&moment.parts[0], moment.around);
        let kept = if around.keeps_juice() { Around::Kept } else { Around::Drips };
        let (mut left, mut evaporated_kg) = (PartLosses::default(), 0.0);
        for ((part, state), juices) in case.parts.iter().zip(moment.parts).zip(&mut self.juices) {
            let piece = Piece {
                p: &p.juice,
                part,
                fractions: &state.bodies.fractions,
                mean_dose: state.mean_dose[0],
                evaporated_kg: state.gone[0] * state.area_m2[0],
                boiled_out: self.boiled_out,
            };
            // Juice and fat leave slowly enough to be followed from frame to frame.
            juices.step(&p.juice, |shell| state.bodies.celsius[shell][0], since_s, kept);
            juices.note(&piece, kept);
            left = left.plus(juices.left(&piece));
            evaporated_kg += piece.evaporated_kg;
        }
        left.fat_l += case.larder_fat_l;
        left.gelatin_g += case.body.gelatin_g(&p.juice, main.mean_dose[0] / case.main().goal.toughness);
        let liquid_l = f64::max(0.0, around.poured_l[0] + around.larder_l + left.to_liquid_kg - around.steam_kg[0]);
        // Lost juice takes along the salt of the water it comes from.
        let before = self.frames.last().map_or(PartLosses::default(), |frame| frame.left);
        let juice_kg = f64::max(0.0, left.to_liquid_kg - before.to_liquid_kg);
        let boneless_kg: f64 = case.parts.iter().map(Part::boneless_kg).sum();
        let water_kg = |lost_kg: f64| f64::max(0.05 * boneless_kg, p.salt.water * boneless_kg - lost_kg);
        let in_meat_g = f64::max(0.0, case.salt_g - self.salt_g);
        self.salt_g += in_meat_g * f64::min(1.0, juice_kg / water_kg(before.juice_kg));
        if case.stages[around.chain.stage[0]].medium.is_pot() {
            let thickness: f64 =
                case.parts.iter().map(|part| part.mass_kg * part.thickness_m).sum::<f64>() / case.mass_kg;
            let evens_s = p.salt.evens_s * (thickness / 0.04).powi(2);
            let even_g = case.salt_g * liquid_l / (liquid_l + water_kg(left.juice_kg));
            self.salt_g += (even_g - self.salt_g) * (1.0 - (-since_s / evens_s).exp());
        }
        self.frames.push(Frame {
            time_s: moment.time_s,
            celsius: std::array::from_fn(|shell| main.bodies.celsius[shell][0]),
            dose: self.dose,
            surface_c: main.bodies.surface_c[0],
            medium_c: around.celsius[0],
            air_c: around.air_c(0),
            mean_dose: main.mean_dose[0],
            stage: around.chain.stage[0],
            liquid_l,
            ran_dry: around.has_run_dry(),
            steam_kg: around.steam_kg[0] + evaporated_kg,
            salt_g: self.salt_g,
            left,
        });
    }
}

impl Watch<1> for Recorder<'_> {
    fn look(&mut self, moment: &Moment<1>) -> bool {
        let (main, around) = (&moment.parts[0], moment.around);
        // Only the inside asks for every shell's own.
        if self.case.inside {
            for shell in 0..SHELLS {
                let rate = main.rates[shell][0];
                self.dose[shell] += 0.5 * moment.step_s / HOUR_S * (self.rates[shell] + rate);
                self.rates[shell] = rate;
            }
        }
        if self.warm_s.is_none() && moment.parts.iter().all(|part| part.bodies.celsius[0][0] >= self.warm_c) {
            self.warm_s = Some(moment.time_s);
        }
        let mut opened = false;
        for (stage, ended) in around.chain.ended_s.iter().enumerate() {
            if self.stage_ends_s[stage].is_infinite() && ended[0].is_finite() {
                self.stage_ends_s[stage] = ended[0];
                if let Medium::Pressure { quick, .. } = self.case.stages[stage].medium {
                    opened = true;
                    self.boiled_out += if quick { self.case.model.p.pressure.quick_release_juice } else { 0.0 };
                }
            }
        }
        // An opened lid is written down at once: it is when the meat is looked at.
        let due = moment.time_s >= self.next_s;
        if opened || due {
            self.write(moment);
        }
        if due {
            self.next_s = ((moment.time_s / self.every_s).floor() + 1.0) * self.every_s;
        }
        moment.time_s < self.until_s
    }

    /// On the grid of what it writes; an opened lid is written beside it.
    fn next_s(&self) -> f64 {
        self.next_s
    }

    /// A dish that is warmed again, cooled or cooked by the clock is lifted at the end of that, whatever it is by then.
    fn waits(&self) -> bool {
        let ends =
            self.case.stages.last().is_some_and(|last| matches!(last.end, End::Warm(_) | End::Cold(_) | End::After(_)));
        ends && self.stage_ends_s.last().is_some_and(|end_s| end_s.is_infinite())
    }
}

/// Runs the median cook and writes a frame of it every `every_s` seconds; its middle counts as warm at `warm_c` °C.
///
/// # Errors
/// Nobody waits for it any more.
pub fn recorded(case: &Case, every_s: f64, warm_c: f64, how: &How) -> Result<Record, Cancelled> {
    how.go_on()?;
    let mut recorder = Recorder::new(case, every_s, HORIZON_S, warm_c);
    let pieces = vec![[Animal::median(&case.model.p.beliefs)]; case.parts.len()];
    let [times] = run(case, &[Member::median(&case.model.p.beliefs)], &pieces, &mut recorder);
    Ok(recorder.of(times))
}

/// A part before anything has left it.
fn raw(p: &Juice, part: &Part) -> PartLosses {
    Juices::default().left(&Piece {
        p,
        part,
        fractions: &shell_fractions(part.shape.exponent),
        mean_dose: 0.0,
        evaporated_kg: 0.0,
        boiled_out: 0.0,
    })
}

impl Frame {
    /// Minutes since the start.
    pub fn minutes(&self) -> f64 {
        self.time_s / MINUTE_S
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::run::median_times;
    use crate::testing::{SIMMERS, case, simmered, stage};

    #[test]
    fn a_braise_is_written_down_from_cold_to_tender_and_what_left_the_meat_is_in_the_pot() {
        let case = simmered(0.06);
        let record = recorded(&case, 300.0, 63.0, &How::default()).unwrap();
        assert_eq!(record.times.ready_s, median_times(&case, &How::default()).unwrap().ready_s);
        let (first, last) = (&record.frames[0], record.frames.last().unwrap());
        assert_eq!((first.time_s, first.celsius[0]), (0.0, 5.0));
        assert!(record.frames.is_sorted_by(|a, b| a.time_s < b.time_s && a.mean_dose <= b.mean_dose));
        assert!((85.0..100.0).contains(&last.celsius[0]), "{}", last.celsius[0]);
        // What was poured, what came of the meat, less what left as steam, but the fat that swims on it.
        let balance = 1.0 + last.left.to_liquid_kg - last.steam_kg;
        assert!((last.liquid_l - balance).abs() < 0.02, "{} against {balance}", last.liquid_l);
        assert!(last.salt_g > 4.0 && last.salt_g < 14.0, "{}", last.salt_g);
        assert!(record.warm_s.is_some_and(|warm_s| warm_s > 600.0 && warm_s < record.times.ready_s));
        assert_eq!(record.at(-5.0).time_s, 0.0);
        assert_eq!(record.at(f64::MAX).time_s, last.time_s);
    }

    #[test]
    fn a_pot_that_fills_with_its_own_juice_is_not_dry_before_that_has_come() {
        let poured = |liquid_l: f64, larder_water_l: f64| {
            let case = Case { liquid_l, larder_water_l, ..simmered(0.06) };
            recorded(&case, 300.0, 63.0, &How::default()).unwrap().dry_s
        };
        assert_eq!(poured(0.0, 1.0), None, "a kilo of tomatoes is liquid in half an hour");
        assert_eq!(poured(1.0, 0.0), None);
    }

    #[test]
    fn each_stage_is_written_with_its_end() {
        let chain = vec![stage(SIMMERS, End::After(HOUR_S)), stage(Medium::KeepWarm { at_c: 70.0 }, End::Stays)];
        let record = recorded(&case(0.04, chain), 300.0, 63.0, &How::default()).unwrap();
        assert_eq!(record.stage_ends_s[0], HOUR_S);
        assert!(record.stage_ends_s[1].is_infinite());
        assert_eq!((record.at(HOUR_S - 600.0).stage, record.at(HOUR_S + 600.0).stage), (0, 1));
    }
}
