//! How long each task of a dish takes, from its own case.

use ergastic_words::{Join, Message};

use super::opened::Opened;
use crate::bench::{Addition, Larder, Prepare};
use crate::cuts::{EatenAs, STEWING_PIECE_M};
use crate::finish::{FILM_MM, SAUCE_A_HEAD_L, SauceMade, SauceRequest, path};
use crate::forecast::{Forecast, ResolvedDish};
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::prepare::{Burner, NO_SAUCE_L, SearPlan, TopUp, doubt_share, flour_g, poured_on_the_way, salting, sear};
use crate::safety::Caution;
use crate::ways::BesideTheMeat;
use ergastic_physics::come_up_s;

/// One look at the meat, min.
pub(super) const LOOK_MIN: f64 = 2.0;
/// From so many times what is eaten tonight on only tonight's share is thickened. Working value.
const MUCH_MORE: f64 = 2.0;
/// A sauce that takes no longer is planned to the minute.
const SHORT_MIN: f64 = 10.0;
/// Laying dumplings on the liquid, min. Working value.
pub(super) const DUMPLINGS_IN_MIN: f64 = 3.0;

/// Something that goes in, and minutes to be done.
pub type Timed = (Addition, f64);

/// Minutes of each task, and the amounts that go with them.
#[derive(Debug, Clone)]
pub struct Durations {
    /// Salt for the meat, g.
    pub salt_g: f64,
    /// What is done with it.
    pub salting: Message,
    /// Salting takes, min.
    pub salting_min: f64,
    /// Out of the cold, and patted dry, takes, min.
    pub take_out_min: f64,
    /// Salted this long before the pan, min.
    pub salt_ahead_min: f64,
    /// Out of the cold this long before the pan.
    pub take_out_ahead_min: f64,
    /// The pan gets hot.
    pub heat_pan_min: f64,
    /// The batches; none without a sear.
    pub sear: Option<SearPlan>,
    /// Aromatics and deglazing; melting fat, bagging or rubbing where that is the way.
    pub deglaze_min: f64,
    /// The liquid comes to a simmer on the hob, or the meat is put where it cooks.
    pub come_up_min: f64,
    /// Oven, pit, coals or bath get hot; none on the hob.
    pub preheat_min: Option<f64>,
    /// That heat is wanted only so long after the meat met its first heat.
    pub preheat_slack_min: f64,
    /// Lighting a fire, or melting and straining the fat, min.
    pub fire_min: f64,
    /// Looks at the meat.
    pub looks: usize,
    /// What goes in before the meat is lifted, and minutes to be done.
    pub additions: Vec<Timed>,
    /// What steams on the skimmed liquid once the meat is out, under a lid that stays shut: starch would hold the fat.
    pub dumplings: Option<Timed>,
    /// What is poured in on the way.
    pub top_ups: Vec<TopUp>,
    /// What is done between opening a pressure pot and lifting the meat.
    pub opened: Option<Opened>,
    /// What goes in beside the meat.
    pub goes_in: BesideTheMeat,
    /// What the pan is deglazed with, if something is.
    pub deglazes: Option<Larder>,
    /// Whether there is bone in it.
    pub bones: bool,
    /// What comes out with the meat.
    pub take_out: Vec<Message>,
    /// Lifting the meat.
    pub lift_min: f64,
    /// Settling and skimming; none where nothing is skimmed.
    pub skim_min: f64,
    /// Reducing or thickening; none where there is no liquid.
    pub sauce_min: f64,
    /// The meat rests before it is cut.
    pub rest_min: f64,
    /// What the sauce needs.
    pub sauce_making: Message,
    /// What becomes of the liquid.
    pub sauce: SauceMade,
    /// Slicing, pulling or portioning.
    pub slice_min: f64,
    /// Plating.
    pub plate_min: f64,
    /// Fat on the liquid when tender, L.
    pub fat_l: f64,
    /// Liquid in the pot when tender, as it is topped up at the looks, L.
    pub liquid_left_l: f64,
    /// Of that, what the looks pour in, L.
    pub topped_up_l: f64,
    /// Salt in the liquid when tender, g.
    pub liquid_salt_g: f64,
    /// Gelatin in it, g.
    pub gelatin_g: f64,
    /// Salt in the meat when tender, g.
    pub meat_salt_g: f64,
    /// Flour that came in on the meat, g.
    pub dredged_flour_g: f64,
    /// How sure the salt is, as a share of it.
    pub salt_doubt: f64,
    /// Share of the liquid that is thickened tonight, where nothing more is poured in.
    pub tonight: f64,
    /// Cooked and edible, kg.
    pub yield_kg: f64,
    /// Cautions of the forecast.
    pub cautions: Vec<Caution>,
}

/// What a sauce needs.
struct SauceWork {
    skim_min: f64,
    make_min: f64,
    making: Message,
    made: SauceMade,
}

/// Minutes from the board to the plate: the knife or two forks go on by weight, chunks only change their pot. Working values.
fn cutting_up_min(eaten_as: EatenAs, yield_kg: f64) -> f64 {
    match eaten_as {
        EatenAs::Slice | EatenAs::Pull | EatenAs::Probe => (4.0 + 3.0 * yield_kg).clamp(5.0, 15.0).ceil(),
        EatenAs::Fork | EatenAs::Spoon => 2.0,
    }
}

/// Salting so many pieces, min: a joint is rubbed, cubes are tossed. Working value.
fn salting_min(pieces: u32) -> f64 {
    f64::clamp(1.5 + 0.5 * f64::from(pieces), 2.0, 6.0).ceil()
}

/// Out of the cold and dry, min: the waiting is no work. Working value.
fn taking_out_min(pieces: u32) -> f64 {
    f64::clamp(1.0 + 0.25 * f64::from(pieces), 2.0, 8.0).ceil()
}

/// At the pot before the liquid is in, min: scraping up, softening what there is to soften, boiling down what is poured. Working
/// values.
fn into_the_pot_min(bench: &Prepare, kitchen: &Kitchen) -> f64 {
    let softened = if !bench.softens() { 0.0 } else { 5.0 };
    3.0 + softened + bench.boiling_down_min(kitchen).ceil()
}

/// Rest helps what is cut in slices from one piece; cubes and what is pulled or spooned need none. Practice.
fn resting_min(way_min: f64, eaten_as: EatenAs, thickness_m: f64) -> f64 {
    let carved = matches!(eaten_as, EatenAs::Slice | EatenAs::Probe) && thickness_m > STEWING_PIECE_M;
    if carved { way_min } else { 0.0 }
}

/// The share of the liquid that is thickened tonight; the rest is stock.
fn tonight(people: u32, liquid_l: f64) -> f64 {
    let wanted_l = SAUCE_A_HEAD_L * f64::from(people);
    if liquid_l > MUCH_MORE * wanted_l { wanted_l / liquid_l } else { 1.0 }
}

/// What goes in while it cooks, and what waits for the skimmed liquid: dumplings, where the meat leaves one behind.
fn later(plan: &Plan, case: &ResolvedDish, forecast: &Forecast, makes_sauce: bool) -> (Option<Timed>, Vec<Timed>) {
    if !case.last().medium.facts().opens {
        return (None, Vec::new());
    }
    let all = plan.prepare.additions(case, forecast);
    if !makes_sauce {
        return (None, all);
    }
    let (dumplings, rest): (Vec<_>, Vec<_>) = all.into_iter().partition(|(what, _)| *what == Addition::Dumplings);
    (dumplings.first().copied(), rest)
}

/// What is in the pot when it is tender, with what was poured in on the way.
struct PotAtTender {
    liquid_l: f64,
    topped_up_l: f64,
    fat_l: f64,
    liquid_salt_g: f64,
    gelatin_g: f64,
    yield_kg: f64,
    meat_salt_g: f64,
    dredged_flour_g: f64,
}

impl PotAtTender {
    fn of(plan: &Plan, case: &ResolvedDish, forecast: &Forecast, topped_up_l: f64) -> Self {
        let liquid_salt_g = forecast.salt_g.unwrap_or(0.0);
        Self {
            liquid_l: forecast.liquid_left_l.unwrap_or(case.liquid_l) + topped_up_l,
            topped_up_l,
            fat_l: forecast.fat_l.unwrap_or(0.0),
            liquid_salt_g,
            gelatin_g: forecast.gelatin_g.unwrap_or(0.0),
            yield_kg: forecast.yield_kg.unwrap_or(0.0),
            meat_salt_g: f64::max(0.0, case.salt_g - liquid_salt_g),
            dredged_flour_g: if plan.prepare.flour { flour_g(case) } else { 0.0 },
        }
    }

    /// As a sauce begins.
    fn as_sauce(&self) -> SauceRequest {
        SauceRequest {
            liquid_l: Some(self.liquid_l),
            fat_l: Some(self.fat_l),
            salt_g: Some(self.liquid_salt_g),
            gelatin_g: Some(self.gelatin_g),
            meat_kg: Some(self.yield_kg),
            meat_salt_g: Some(self.meat_salt_g),
            dredged_flour_g: Some(self.dredged_flour_g),
            ..SauceRequest::default()
        }
    }
}

impl SauceWork {
    /// Where there is none.
    fn none() -> Self {
        Self { skim_min: 0.0, make_min: 0.0, making: Message::nothing(), made: SauceMade::default() }
    }

    fn of(plan: &Plan, kitchen: &Kitchen, case: &ResolvedDish, left: &PotAtTender) -> Self {
        let skims = left.fat_l > 0.0;
        let fat_mm = left.fat_l / case.pot().floor_m2;
        let burner = Burner::under_pot(case, &plan.prepare, kitchen);
        let wanted = SauceRequest {
            vessel: Some(plan.request(kitchen).vessel.unwrap_or_default()),
            hob_w: Some(burner.watts),
            hob_kind: Some(burner.kind),
            share: Some(tonight(plan.people, left.liquid_l)),
            target: plan.finished_as(),
            thickener: plan.thickener,
            ..left.as_sauce()
        };
        let Ok(path) = path(&wanted) else { return Self::none() };
        let after_skim = path.steps.into_iter().skip(usize::from(skims));
        let minutes: f64 = after_skim.clone().map(|(min, _)| min).sum();
        Self {
            skim_min: if fat_mm < FILM_MM { 0.0 } else { path.skim_min },
            // What takes longer is planned in whole fives: to the minute it is not kept.
            make_min: if minutes <= SHORT_MIN { f64::max(minutes.ceil(), 5.0) } else { (minutes / 5.0).ceil() * 5.0 },
            making: Message::list(after_skim.map(|(_, what)| what), Join::Sentences),
            made: path.made,
        }
    }
}

impl Durations {
    /// Works them out from a case and its forecast.
    pub fn of(plan: &Plan, kitchen: &Kitchen, case: &ResolvedDish, forecast: &Forecast) -> Self {
        let first = &case.first().medium;
        let (way, in_pot) = (first.facts(), first.is_pot());
        let (salt_g, salting) = salting(case, &plan.prepare);
        let sear = in_pot.then(|| sear(case, &plan.prepare, kitchen)).filter(SearPlan::happens);
        let cook_min = forecast.ready_min.p50.unwrap_or(180.0);
        let top_ups = poured_on_the_way(case, &forecast.curve, cook_min);
        let left = PotAtTender::of(plan, case, forecast, top_ups.iter().map(|pour| pour.l).sum());
        let last = case.last().medium.facts();
        let makes_sauce = left.liquid_l > NO_SAUCE_L && last.makes_sauce;
        let sauce = if makes_sauce { SauceWork::of(plan, kitchen, case, &left) } else { SauceWork::none() };
        let (dumplings, additions) = later(plan, case, forecast, makes_sauce);
        let come_up_min = (come_up_s(&case.physics()) / 300.0).ceil() * 5.0;
        let first_heat_min = if way.comes_up { come_up_min } else { 5.0 };
        let browned_in = sear.as_ref().map(|sear| sear.fat);
        Self {
            salt_g,
            salting,
            salting_min: salting_min(case.pieces),
            take_out_min: taking_out_min(case.pieces),
            salt_ahead_min: plan.prepare.brine.map_or(plan.prepare.salt_h, |brine| brine.hours) * 60.0,
            take_out_ahead_min: 30.0,
            heat_pan_min: sear.as_ref().map_or(0.0, |sear| sear.heat_pan_min.ceil().clamp(3.0, 15.0)),
            deglaze_min: way.into_it_min.unwrap_or_else(|| into_the_pot_min(&plan.prepare, kitchen)),
            sear,
            come_up_min: first_heat_min,
            preheat_min: way.preheat_min,
            preheat_slack_min: if way.hot_later { first_heat_min } else { 0.0 },
            fire_min: way.fire_min,
            looks: way.looks(cook_min),
            additions,
            dumplings,
            top_ups,
            opened: Opened::of(case, &plan.prepare),
            goes_in: plan.prepare.goes_in(case, browned_in),
            deglazes: plan.prepare.deglazes(),
            bones: case.parts.iter().any(|part| part.bone_pct > 0.0),
            take_out: plan.prepare.take_out(case),
            lift_min: 2.0,
            skim_min: sauce.skim_min,
            sauce_min: sauce.make_min,
            rest_min: resting_min(last.rest_min, case.main().eaten_as, case.main().sides_m[0]),
            sauce_making: sauce.making,
            sauce: sauce.made,
            slice_min: cutting_up_min(case.main().eaten_as, forecast.yield_kg.unwrap_or(case.mass_kg)),
            plate_min: (2.0 + 0.5 * f64::from(plan.people)).clamp(3.0, 15.0).ceil(),
            fat_l: left.fat_l,
            liquid_left_l: f64::max(0.05, left.liquid_l),
            topped_up_l: left.topped_up_l,
            liquid_salt_g: left.liquid_salt_g,
            gelatin_g: left.gelatin_g,
            meat_salt_g: left.meat_salt_g,
            dredged_flour_g: left.dredged_flour_g,
            salt_doubt: doubt_share(case, &plan.prepare),
            tonight: tonight(plan.people, left.liquid_l - left.topped_up_l),
            yield_kg: left.yield_kg,
            cautions: forecast.cautions.clone(),
        }
    }

    /// Whether what is in the pot becomes a sauce.
    pub fn has_sauce(&self) -> bool {
        self.sauce_min > 0.0
    }

    /// From lifting the meat to plates on the table. The meat rests while the sauce is made.
    pub fn finishing_min(&self) -> f64 {
        let opened_min = self.opened.as_ref().map_or(0.0, Opened::min);
        opened_min
            + self.lift_min
            + f64::max(self.skim_min + self.dumplings_min() + self.sauce_min, self.rest_min)
            + self.slice_min
            + self.plate_min
    }

    /// Dumplings put in and steamed, min.
    fn dumplings_min(&self) -> f64 {
        self.dumplings.map_or(0.0, |(_, done_min)| DUMPLINGS_IN_MIN + done_min.ceil())
    }
}

#[cfg(test)]
mod tests {
    use serde_json::json;

    use super::*;
    use crate::forecast::describe;

    fn of(forecast: serde_json::Value, prepare: serde_json::Value) -> Durations {
        let mut forecast = forecast;
        forecast["members"] = json!(1);
        let plan: Plan = serde_json::from_value(json!({
            "name": "Lake-ice shin", "people": 6, "serve_at": "2027-02-06T16:30:00Z", "forecast": forecast, "prepare": prepare,
        }))
        .unwrap();
        let kitchen = Kitchen::default();
        let case = plan.resolve(&kitchen).unwrap();
        Durations::of(&plan, &kitchen, &case, &describe(&case, None).unwrap())
    }

    #[test]
    fn work_that_grows_with_pieces_and_weight_grows_within_bounds() {
        assert_eq!([1, 2, 30].map(salting_min), [2.0, 3.0, 6.0]);
        assert_eq!([1, 4, 60].map(taking_out_min), [2.0, 2.0, 8.0]);
        assert_eq!(cutting_up_min(EatenAs::Fork, 5.0), 2.0, "chunks only change their pot");
        let sliced = [0.2, 1.5, 9.0].map(|kg| cutting_up_min(EatenAs::Slice, kg));
        assert_eq!(sliced, [5.0, 9.0, 15.0]);
    }

    #[test]
    fn only_what_is_carved_from_a_thick_piece_rests() {
        assert_eq!(resting_min(15.0, EatenAs::Slice, 0.09), 15.0);
        for (eaten_as, thickness_m) in [(EatenAs::Slice, 0.03), (EatenAs::Pull, 0.09), (EatenAs::Spoon, 0.09)] {
            assert_eq!(resting_min(15.0, eaten_as, thickness_m), 0.0);
        }
    }

    #[test]
    fn tonights_share_of_much_liquid_is_thickened_and_all_of_little() {
        let wanted_l = SAUCE_A_HEAD_L * 6.0;
        assert_eq!(tonight(6, wanted_l), 1.0);
        assert_eq!(tonight(6, 1.9 * wanted_l), 1.0);
        assert!((tonight(6, 3.0 * wanted_l) - 1.0 / 3.0).abs() < 1e-12);
    }

    #[test]
    fn a_dish_without_a_sauce_neither_skims_nor_thickens() {
        let braised = of(json!({"cut": "chuck", "mass_kg": 2.4, "method": "braise"}), json!({}));
        let smoked = of(json!({"cut": "brisket", "mass_kg": 4.0, "method": "smoke"}), json!({}));
        assert!(braised.has_sauce() && braised.skim_min > 0.0 && braised.sear.is_some());
        assert!(!smoked.has_sauce() && smoked.skim_min == 0.0 && smoked.sear.is_none());
        assert!(braised.finishing_min() > braised.lift_min + braised.slice_min + braised.plate_min);
    }

    #[test]
    fn dumplings_wait_for_the_skimmed_liquid_and_potatoes_do_not() {
        let later = json!({"later": [{"what": "dumplings", "g": 400}, {"what": "potato", "g": 800}]});
        let both = of(json!({"cut": "chuck", "mass_kg": 1.8, "method": "braise"}), later);
        assert_eq!(both.dumplings.map(|(what, _)| what), Some(Addition::Dumplings));
        assert_eq!(both.additions.iter().map(|(what, _)| *what).collect::<Vec<_>>(), [Addition::Potato]);
        assert!(both.dumplings_min() > DUMPLINGS_IN_MIN);
        let plain = of(json!({"cut": "chuck", "mass_kg": 1.8, "method": "braise"}), json!({}));
        assert_eq!(plain.dumplings_min(), 0.0);
    }
}
