//! One part's meat in a run: `L` cooks' pieces side by side, how warm, how tender, how wet.

use super::lanes::{PartTimes, STEP_S};
use crate::body::{DENSITY, SHELLS, Surroundings};
use crate::case::Case;
use crate::conduction::Bodies;
use crate::juices::juice_equilibrium;
use crate::members::PieceDrawn;
use crate::parameters::{Juice, Parameters};
use crate::part::Part;
use crate::pit::Wrapping;
use crate::tender::{SOFTENS_FROM_C, Softening};
use crate::units::HOUR_S;

/// What is let by about the meat in the pit: 1 where it is bare.
pub(super) struct LetBy<const L: usize> {
    pub(super) heat: [f64; L],
    pub(super) vapour: [f64; L],
}

/// `L` cooks' pieces of one part.
pub struct PartState<const L: usize> {
    /// The meat.
    pub bodies: Bodies<L>,
    /// Softening rate of each shell now, tender-hours an hour.
    pub rates: [[f64; L]; SHELLS],
    /// Mean tender-hours.
    pub mean_dose: [f64; L],
    /// Tender-hours in the middle.
    pub core_dose: [f64; L],
    /// Tender-hours that are enough.
    pub enough: [f64; L],
    /// When it was ready and too far.
    pub times: [PartTimes; L],
    /// Water gone from the surface, kg/m².
    pub gone: [f64; L],
    /// All the water behind the surface, kg/m²: then nothing is left that could go.
    most_gone: [f64; L],
    /// Surface of all pieces, m².
    pub area_m2: [f64; L],
    /// Juice that has left, kg, from the mean temperature: enough to know how deep the meat lies.
    pub juice_kg: [f64; L],
    pub(super) film: [f64; L],
    pub(super) wrapped: [bool; L],
    pub(super) cover: LetBy<L>,
    pub(super) around: Surroundings<L>,
    overcooked: [f64; L],
    middle_share: f64,
    mean_rate: [f64; L],
    mean_before: [f64; L],
    core_before: [f64; L],
    lean_kg: f64,
}

impl<const L: usize> PartState<L> {
    /// `drawn_in` is how far the heat has to go against the raw half-thickness.
    pub(super) fn new(part: &Part, pieces: &[PieceDrawn; L], case: &Case, drawn_in: f64) -> Self {
        let p = &case.model.p;
        let radius = std::array::from_fn(|lane| drawn_in * part.shape.half_thickness_m * pieces[lane].thickness);
        let volume_m3 = part.boneless_kg() / DENSITY;
        let area_m2 = radius.map(|radius| volume_m3 * (part.shape.exponent + 1.0) / radius);
        Self {
            bodies: Bodies::new(part.shape.exponent, radius, case.start_c, STEP_S, &p.meat),
            rates: [[0.0; L]; SHELLS],
            mean_rate: [0.0; L],
            mean_dose: [0.0; L],
            core_dose: [0.0; L],
            enough: std::array::from_fn(|lane| part.goal.enough * pieces[lane].toughness),
            times: [PartTimes::NEVER; L],
            gone: [0.0; L],
            most_gone: area_m2.map(|area_m2| p.meat.water * part.lean_kg() / area_m2),
            area_m2,
            juice_kg: [0.0; L],
            film: [0.0; L],
            wrapped: [false; L],
            cover: LetBy { heat: [1.0; L], vapour: [1.0; L] },
            around: Surroundings {
                air_vapour_pa: [p.pit.vapour_pa; L],
                ..Surroundings::dry([0.0; L], [0.0; L], [1.0; L])
            },
            middle_share: part.goal.middle_share,
            overcooked: std::array::from_fn(|lane| part.goal.overcooked * pieces[lane].toughness),
            mean_before: [0.0; L],
            core_before: [0.0; L],
            lean_kg: part.lean_kg(),
        }
    }

    /// Cuts the pieces of one cook up: the heat has so much less far to go, and meets so much more surface. Each shell keeps
    /// its temperature and its softening, and what has dried off is spread over more.
    pub(super) fn cut_up(&mut self, lane: usize, thinner: f64) {
        self.bodies.thin(lane, thinner);
        self.area_m2[lane] /= thinner;
        self.gone[lane] *= thinner;
        self.most_gone[lane] *= thinner;
    }

    /// Puts a wrap on a piece that is to have it, or takes it off.
    pub(super) fn rewrap(&mut self, p: &Parameters, lane: usize, material: Option<Wrapping>) {
        self.wrapped[lane] &= material.is_some();
        let on = material.filter(|_| self.wrapped[lane]);
        self.cover.heat[lane] = on.map_or(1.0, |_| p.pit.wrapped_heat);
        self.cover.vapour[lane] = on.map_or(1.0, |wrap| wrap.lets_by(p));
    }

    /// What the medium's heat meets at the outermost shell, W/K.
    #[inline(always)]
    pub(super) fn conductance(&self, lane: usize) -> f64 {
        let h = self.around.coefficient[lane];
        self.area_m2[lane] * h / (1.0 + h * self.bodies.half_shell(lane))
    }

    /// The juice that joined the liquid over some seconds.
    #[inline(always)]
    pub(super) fn give_juice(&mut self, p: &Juice, seconds: f64) {
        let share = 1.0 - (-seconds / p.leaves_s).exp();
        let mut mean_c = [0.0; L];
        for shell in 0..SHELLS {
            for lane in 0..L {
                mean_c[lane] += self.bodies.fractions[shell] * self.bodies.celsius[shell][lane];
            }
        }
        for lane in 0..L {
            let towards = self.lean_kg * juice_equilibrium(p, mean_c[lane]) - self.juice_kg[lane];
            self.juice_kg[lane] += f64::max(0.0, towards) * share;
        }
    }

    /// The most that can go off the surface, kg/m²: what has gone into the pot as juice can't dry off any more.
    #[inline(always)]
    fn most(&self, lane: usize) -> f64 {
        f64::max(0.0, self.most_gone[lane] - self.juice_kg[lane] / self.area_m2[lane])
    }

    /// Whether no water is left in it that could dry off.
    #[inline(always)]
    pub(super) fn is_dry(&self, lane: usize) -> bool {
        self.gone[lane] >= self.most(lane)
    }

    /// What evaporation took, and the film of a mop first.
    #[inline(always)]
    pub(super) fn dry_out(&mut self) {
        for lane in 0..L {
            let lost = self.bodies.evaporated[lane];
            let from_film = f64::min(self.film[lane], f64::max(lost, 0.0));
            self.film[lane] -= from_film;
            self.gone[lane] = f64::max(0.0, f64::min(self.gone[lane] + lost - from_film, self.most(lane)));
        }
    }

    /// Adds a step's softening, and notes who has become tender or gone too far in it.
    #[inline(always)]
    pub(super) fn soften(&mut self, softening: &Softening, start_s: f64, step_s: f64) {
        let core_rate = self.rates[0];
        let before = self.mean_rate;
        self.mean_rate = rates(softening, &self.bodies, &mut self.rates);
        self.mean_before = self.mean_dose;
        self.core_before = self.core_dose;
        let half_step_h = 0.5 * step_s / HOUR_S;
        let mut any = false;
        for lane in 0..L {
            self.mean_dose[lane] += half_step_h * (before[lane] + self.mean_rate[lane]);
            self.core_dose[lane] += half_step_h * (core_rate[lane] + self.rates[0][lane]);
            any |= self.mean_dose[lane] >= self.enough[lane];
        }
        if any {
            self.note_times(start_s, step_s);
        }
    }

    fn note_times(&mut self, start_s: f64, step_s: f64) {
        for lane in 0..L {
            let (mean, enough) = (self.mean_dose[lane], self.enough[lane]);
            if mean < enough {
                continue;
            }
            let (mean_before, core_before, core) =
                (self.mean_before[lane], self.core_before[lane], self.core_dose[lane]);
            let crossed = |before: f64, now: f64, goal: f64| {
                start_s + step_s * ((goal - before) / (now - before)).clamp(0.0, 1.0)
            };
            let time = &mut self.times[lane];
            if time.ready_s.is_infinite() && core >= self.middle_share * enough {
                let by_mean = crossed(mean_before, mean, enough);
                let by_core = crossed(core_before, core, self.middle_share * enough);
                time.ready_s = f64::max(by_mean, by_core);
            }
            let overcooked = self.overcooked[lane];
            if time.overcooked_s.is_infinite() && mean >= overcooked && time.ready_s.is_finite() {
                // A thick piece can be overdone outside before its middle is done; it is never ready after too far.
                time.overcooked_s = f64::max(crossed(mean_before, mean, overcooked), time.ready_s);
            }
        }
    }

    /// How far it was at a share of the last step, as a share of what ready asks of mean and middle.
    pub(super) fn margin(&self, lane: usize, share: f64) -> f64 {
        let along = |before: f64, now: f64| before + share * (now - before);
        let mean = along(self.mean_before[lane], self.mean_dose[lane]) / self.enough[lane];
        let core = along(self.core_before[lane], self.core_dose[lane]) / (self.middle_share * self.enough[lane]);
        f64::min(mean, core)
    }

    /// Nothing more is to be learned of this cook's piece.
    #[inline(always)]
    pub(super) fn settled(&self, lane: usize) -> bool {
        self.times[lane].ready_s.is_finite() && self.times[lane].overcooked_s.is_finite()
    }
}

/// [`crate::tender::rate`] for every shell of every lane, as one flat loop that the compiler vectorises; answers their mean.
#[inline(always)]
fn rates<const L: usize>(softening: &Softening, bodies: &Bodies<L>, rates: &mut [[f64; L]; SHELLS]) -> [f64; L] {
    let softening = *softening;
    for (rate, celsius) in rates.as_flattened_mut().iter_mut().zip(bodies.celsius.as_flattened()) {
        let soft = softening.at(*celsius);
        *rate = if *celsius < SOFTENS_FROM_C { 0.0 } else { soft };
    }
    let mut mean = [0.0; L];
    for (rates, fraction) in rates.iter().zip(bodies.fractions) {
        for lane in 0..L {
            mean[lane] = fraction.mul_add(rates[lane], mean[lane]);
        }
    }
    mean
}
