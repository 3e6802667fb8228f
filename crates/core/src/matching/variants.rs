//! The variants that are weighed: how it is cut up, and how it is heated.

use ergastic_words::{Dial, Length, Message, Minutes, Temperature, Units, matching as say};

use super::block::Block;
use super::hurry::Hurry;
use super::shape::Shape;
use super::suits;
use crate::cuts::{CUBE_MM, STEWING_PIECE_M, cubes_in};
use crate::forecast::{Case, ForecastRequest, Heat, Meat, Part, StageRequest, Until, Wrap};
use crate::heat::pit::WrapMaterial;
use crate::heat::pot::{Lid, Simmer};
use crate::kitchen::Kit;
use crate::ways::{AFTER_SMOKE_BATH_C, HeatSource, Method, NIGHT_MIN, Settings, USUAL_REHEAT_C};
use ergastic_physics::pressure::FULLEST;

use Shape::{Cubed, Halved, Whole};

/// A piece lighter than this is not halved, kg.
const HALVED_FROM_KG: f64 = 0.7;

/// One variant before it is computed.
#[derive(Debug, Clone)]
pub struct Variant {
    pub id: String,
    pub name: Message,
    /// Its name, however it is cut up.
    pub uncut: Message,
    pub kit: Kit,
    pub shape: Shape,
    pub forecast: ForecastRequest,
    /// Offered beside the ways, where it helps.
    pub two_stage: bool,
    /// Loads it takes, where the vessel does not hold it all.
    pub loads: u32,
    /// What is given up to be sooner.
    pub hurry: Option<Hurry>,
}

impl Variant {
    /// The same with so much longer in the cold, min; none where it is never chilled and warmed again.
    pub fn chilled_for(&self, longer_min: f64) -> Option<Self> {
        let mut longer = self.clone();
        let stages = longer.forecast.stages.as_mut()?;
        let warms = stages.last().is_some_and(|last| last.method == Some(Method::Reheat));
        let chill = stages.iter_mut().find(|stage| warms && stage.method == Some(Method::Chill))?;
        let min = chill.until.as_mut()?.min.as_mut()?;
        *min += (longer_min / 5.0).floor() * 5.0;
        Some(longer)
    }
}

fn hob(simmer: Simmer) -> Heat {
    Heat { source: Some(HeatSource::Hob), simmer: Some(simmer), ..Heat::default() }
}

fn oven(set_c: f64) -> Heat {
    Heat { source: Some(HeatSource::Oven), set_c: Some(set_c), ..Heat::default() }
}

fn pit(pit_c: f64, material: Option<WrapMaterial>) -> Heat {
    let wrap = material.map(|material| Wrap { material, at_core_c: Some(70.0) });
    Heat { pit_c: Some(pit_c), wrap, ..Heat::default() }
}

fn bath(bath_c: f64) -> Heat {
    Heat { bath_c: Some(bath_c), ..Heat::default() }
}

/// The meat in a shape, with the words for it.
struct Cutting {
    shape: Shape,
    words: Option<Message>,
    meat: ForecastRequest,
}

/// Cuts the block up for a vessel `across_m` wide; none where that makes no sense.
fn cut_up(block: &Block, lies: &Case, shape: Shape, across_m: Option<f64>) -> Option<Cutting> {
    let meat = match shape {
        Shape::Whole => {
            let lies_down = |across: f64| lies.parts.iter().all(|part| part.sides_m[2] <= 1.05 * across);
            return across_m.is_none_or(lies_down).then(|| Cutting { shape, words: None, meat: block.meat.clone() });
        }
        Shape::Halved => return halved(&block.meat, lies, across_m),
        Shape::Cubed => cubed(&block.meat, lies)?,
    };
    Some(Cutting { shape, words: Some(say::cubed(Length(CUBE_MM))), meat })
}

/// In two, or in as many as lie down in the vessel.
fn halved(meat: &ForecastRequest, lies: &Case, across_m: Option<f64>) -> Option<Cutting> {
    let main = lies.main();
    let piece_kg = main.mass_kg / f64::from(main.pieces);
    if lies.parts.len() > 1 || piece_kg < HALVED_FROM_KG || main.sides_m[0] <= STEWING_PIECE_M {
        return None;
    }
    let [a, b, long] = main.sides_m;
    let cuts = across_m.map_or(2.0, |across| f64::max(2.0, (long / across).ceil()));
    let mut sides = [a, b, long / cuts];
    sides.sort_by(f64::total_cmp);
    let meat = ForecastRequest {
        size_mm: Some(sides.map(|side| (side * 1000.0).round())),
        thickness_mm: None,
        pieces: Some((f64::from(main.pieces) * cuts) as u32),
        mass_kg: Some(main.mass_kg),
        ..meat.clone()
    };
    let words = if cuts > 2.0 { say::cut_to_lie() } else { say::halved() };
    Some(Cutting { shape: Shape::Halved, words: Some(words), meat })
}

/// In cubes, but for what is small already.
fn cubed(meat: &ForecastRequest, lies: &Case) -> Option<ForecastRequest> {
    let small = |part: &Part| part.sides_m[0] <= STEWING_PIECE_M;
    if lies.parts.iter().all(small) || lies.parts.iter().any(|part| !suits::cubes(part.bone_pct)) {
        return None;
    }
    let pieces = cubes_in;
    let size_mm = Some([CUBE_MM; 3]);
    let Some(parts) = &meat.parts else {
        let mass_kg = lies.main().mass_kg;
        let pieces = Some(pieces(mass_kg));
        return Some(ForecastRequest { size_mm, thickness_mm: None, mass_kg: Some(mass_kg), pieces, ..meat.clone() });
    };
    let part = |(asked, lies): (&Meat, &Part)| {
        if small(lies) {
            return asked.clone();
        }
        let pieces = Some(pieces(lies.mass_kg));
        Meat { size_mm, thickness_mm: None, mass_kg: Some(lies.mass_kg), pieces, ..asked.clone() }
    };
    let parts = parts.iter().zip(&lies.parts).map(part).collect();
    Some(ForecastRequest { parts: Some(parts), ..meat.clone() })
}

/// Collects variants.
struct List<'a> {
    block: &'a Block<'a>,
    lies: &'a Case,
    across_m: f64,
    found: Vec<Variant>,
}

impl List<'_> {
    fn add(&mut self, method: Method, heat: Heat, key: &str, name: Message, kit: Kit, shapes: &[Shape]) {
        let in_pot = !matches!(method, Method::Smoke | Method::WaterBath);
        let across_m = in_pot.then_some(match method {
            Method::Pressure => self.block.kitchen.pressure_pot().diameter_cm / 100.0,
            Method::SlowCooker => self.block.kitchen.slow_cooker().diameter_cm / 100.0,
            _ => self.across_m,
        });
        for shape in shapes {
            let Some(cutting) = cut_up(self.block, self.lies, *shape, across_m) else { continue };
            self.found.push(Variant {
                id: format!("{}.{key}.{}", method.key(), cutting.shape.key()),
                name: match cutting.words {
                    None => name.clone(),
                    Some(words) => say::cut_up(name.clone(), words),
                },
                uncut: name.clone(),
                kit,
                shape: cutting.shape,
                forecast: ForecastRequest { method: Some(method), heat: Some(heat.clone()), ..cutting.meat },
                two_stage: false,
                loads: 1,
                hurry: None,
            });
        }
    }

    fn chain(&mut self, stages: Vec<StageRequest>, key: &str, name: Message, kit: Kit, in_pot: bool) {
        let across_m = in_pot.then_some(self.across_m);
        let cutting =
            [Shape::Whole, Shape::Halved].iter().find_map(|shape| cut_up(self.block, self.lies, *shape, across_m));
        if let Some(cutting) = cutting {
            self.found.push(Variant {
                id: format!("two.{key}"),
                uncut: name.clone(),
                name,
                kit,
                shape: cutting.shape,
                forecast: ForecastRequest { stages: Some(stages), ..cutting.meat },
                two_stage: true,
                loads: 1,
                hurry: None,
            });
        }
    }
}

fn stage(method: Method, heat: Heat, until: Option<Until>) -> StageRequest {
    StageRequest { method: Some(method), heat: Some(heat), until, ..StageRequest::default() }
}

fn minutes(min: f64) -> Option<Until> {
    Some(Until { min: Some(min), ..Until::default() })
}

/// The settings that are offered: round on the dial at hand, °C.
struct Dials {
    oven: f64,
    hot_oven: f64,
    slow_oven: f64,
    overnight_oven: f64,
    slow_pit: f64,
    hot_pit: f64,
    fat: f64,
    bath: f64,
    cool_bath: f64,
    holding_bath: f64,
}

impl Dials {
    fn of(units: Units) -> Self {
        let f = |fahrenheit: f64| (fahrenheit - 32.0) / 1.8;
        match units {
            Units::Metric => Self {
                oven: 150.0,
                hot_oven: 170.0,
                slow_oven: 100.0,
                overnight_oven: 90.0,
                slow_pit: 110.0,
                hot_pit: 135.0,
                fat: 90.0,
                bath: 82.0,
                cool_bath: 75.0,
                holding_bath: AFTER_SMOKE_BATH_C,
            },
            Units::Us => Self {
                oven: f(300.0),
                hot_oven: f(350.0),
                slow_oven: f(225.0),
                overnight_oven: f(200.0),
                slow_pit: f(225.0),
                hot_pit: f(275.0),
                fat: f(195.0),
                bath: f(180.0),
                cool_bath: f(167.0),
                holding_bath: f(185.0),
            },
        }
    }
}

/// Every variant of every way for what is on the block, whether or not its kit is free.
pub fn variants(block: &Block, lies: &Case) -> Vec<Variant> {
    let across_m = block.kitchen.pot().across_m();
    let dials = Dials::of(block.kitchen.units);
    let mut list = List { block, lies, across_m, found: Vec::new() };
    braises(&mut list, &dials);
    stews(&mut list, &dials);
    in_pots_of_their_own(&mut list);
    in_the_pit(&mut list, &dials);
    under_fat_and_bagged(&mut list, &dials);
    in_two_goes(&mut list, &dials);
    for variant in &mut list.found {
        into_loads(block, variant);
    }
    list.found
}

fn braises(list: &mut List, dials: &Dials) {
    let braise = Method::Braise;
    let at = |c: f64| (oven(c), Dial(c));
    let (heat, dial) = at(dials.oven);
    list.add(braise, heat, "oven_150", say::braise_oven(dial), Kit::Oven, &[Whole, Halved]);
    let (heat, dial) = at(dials.hot_oven);
    list.add(braise, heat, "oven_170", say::braise_oven(dial), Kit::Oven, &[Whole]);
    let (heat, dial) = at(dials.slow_oven);
    list.add(braise, heat, "oven_100", say::braise_slow_oven(dial), Kit::Oven, &[Whole]);
    let (heat, dial) = at(dials.overnight_oven);
    list.add(braise, heat, "oven_90", say::braise_overnight(dial), Kit::Oven, &[Whole]);
    list.add(braise, hob(Simmer::Gentle), "hob", say::braise_hob(), Kit::Hob, &[Whole, Halved]);
    let coals = Heat { source: Some(HeatSource::Coals), ..Heat::default() };
    list.add(braise, coals, "coals", say::braise_coals(), Kit::Coals, &[Whole]);
}

fn stews(list: &mut List, dials: &Dials) {
    // Without a hob, what is usual on it goes into the oven.
    let on_hob = list.block.has(Kit::Hob) || !list.block.has(Kit::Oven);
    let as_they_come =
        list.lies.parts.iter().all(|part| part.sides_m[0] <= STEWING_PIECE_M || !suits::cubes(part.bone_pct));
    let shape = if as_they_come { [Whole] } else { [Cubed] };
    let in_oven = say::stew_oven(Dial(dials.oven));
    if on_hob {
        list.add(Method::Stew, hob(Simmer::Gentle), "simmer", say::stew_hob(), Kit::Hob, &shape);
        list.add(Method::Stew, oven(dials.oven), "oven_150", in_oven, Kit::Oven, &shape);
    } else {
        list.add(Method::Stew, oven(dials.oven), "simmer", in_oven, Kit::Oven, &shape);
    }
}

fn in_pots_of_their_own(list: &mut List) {
    let high = Heat { level: Some(Settings::High), ..Heat::default() };
    let shapes = [Whole, Halved, Cubed];
    list.add(Method::Pressure, high, "high", say::pressure_high(), Kit::PressurePot, &shapes);
    let slow = |setting| Heat { setting: Some(setting), ..Heat::default() };
    let crock = Method::SlowCooker;
    list.add(crock, slow(Settings::Low), "low", say::slow_cooker_low(), Kit::SlowCooker, &[Whole, Cubed]);
    list.add(crock, slow(Settings::High), "high", say::slow_cooker_high(), Kit::SlowCooker, &[Whole, Halved]);
}

fn in_the_pit(list: &mut List, dials: &Dials) {
    let paper = Some(WrapMaterial::Paper);
    let smoke = Method::Smoke;
    let (slow, hot) = (dials.slow_pit, dials.hot_pit);
    list.add(smoke, pit(slow, paper), "pit_110_paper", say::pit_paper(Dial(slow)), Kit::Pit, &[Whole]);
    list.add(smoke, pit(slow, None), "pit_110_bare", say::pit_bare(Dial(slow)), Kit::Pit, &[Whole]);
    list.add(smoke, pit(hot, paper), "pit_135_paper", say::pit_paper(Dial(hot)), Kit::Pit, &[Whole]);
    list.add(smoke, pit(hot, None), "pit_135_bare", say::pit_bare(Dial(hot)), Kit::Pit, &[Whole]);
}

fn under_fat_and_bagged(list: &mut List, dials: &Dials) {
    let fat = Heat { fat_c: Some(dials.fat), ..Heat::default() };
    let name = say::fat(Temperature(dials.fat));
    list.add(Method::Confit, fat, "fat_90", name, Kit::Oven, &[Whole, Halved]);
    for (bath_c, key) in [(dials.bath, "bath_82"), (dials.cool_bath, "bath_75")] {
        let name = say::bath(Temperature(bath_c));
        list.add(Method::WaterBath, bath(bath_c), key, name, Kit::WaterBath, &[Whole]);
    }
}

fn in_two_goes(list: &mut List, dials: &Dials) {
    const BEFORE_THE_BAG_MIN: f64 = 240.0;
    const BEFORE_THE_POT_MIN: f64 = 180.0;
    let smoked = |min: f64| stage(Method::Smoke, pit(dials.slow_pit, None), minutes(min));
    let in_oven = list.block.has(Kit::Oven);
    let braised = if in_oven { oven(dials.oven) } else { hob(Simmer::Gentle) };
    let bagged = stage(Method::WaterBath, bath(dials.holding_bath), None);
    let name = say::smoke_bag(Minutes(BEFORE_THE_BAG_MIN), Temperature(dials.holding_bath));
    list.chain(vec![smoked(BEFORE_THE_BAG_MIN), bagged], "smoke_bag", name, Kit::Pit, false);
    let then = stage(Method::Braise, braised.clone(), None);
    let name = say::smoke_braise(Minutes(BEFORE_THE_POT_MIN));
    list.chain(vec![smoked(BEFORE_THE_POT_MIN), then], "smoke_braise", name, Kit::Pit, true);
    let tender = Some(Until { tender: Some(true), ..Until::default() });
    let warmed = Heat { to_c: Some(USUAL_REHEAT_C), ..Heat::default() };
    let over_night = vec![
        stage(Method::Braise, braised, tender),
        stage(Method::Chill, Heat::default(), minutes(NIGHT_MIN)),
        StageRequest { lid: Some(Lid::Tight), ..stage(Method::Reheat, warmed, None) },
    ];
    let kit = if in_oven { Kit::Oven } else { Kit::Hob };
    list.chain(over_night, "day_before", say::day_before(), kit, true);
}

/// Where its vessel does not take it all, the variant becomes several loads: each is computed, all are counted.
fn into_loads(block: &Block, variant: &mut Variant) {
    let resolves = |forecast: &ForecastRequest| {
        let full = |case: &Case| (case.liquid_l / 1000.0 + case.packing.meat_m3) / case.pot().volume_m3();
        let pressed = forecast.method == Some(Method::Pressure);
        // A pressure pot may be no fuller than its vent allows.
        block.plan(forecast.clone()).resolve(block.kitchen).is_ok_and(|case| !pressed || full(&case) <= FULLEST)
    };
    if resolves(&variant.forecast) {
        return;
    }
    for loads in 2..=8_u32 {
        let share = f64::from(loads);
        let one = ForecastRequest {
            mass_kg: variant.forecast.mass_kg.map(|mass_kg| mass_kg / share),
            pieces: variant.forecast.pieces.map(|pieces| (pieces / loads).max(1)),
            parts: variant.forecast.parts.as_ref().map(|parts| {
                (parts.iter())
                    .map(|part| Meat {
                        mass_kg: part.mass_kg.map(|mass_kg| mass_kg / share),
                        pieces: part.pieces.map(|pieces| (pieces / loads).max(1)),
                        ..part.clone()
                    })
                    .collect()
            }),
            ..variant.forecast.clone()
        };
        if resolves(&one) {
            variant.forecast = one;
            variant.loads = loads;
            return;
        }
    }
}

/// Whether a way asks for someone now and then: for what, and how often.
pub fn wants(medium_kit: Kit, pit_holds_itself: bool) -> Option<Message> {
    match medium_kit {
        Kit::Coals => Some(say::wants_coals()),
        Kit::Pit if !pit_holds_itself => Some(say::wants_fire()),
        Kit::Hob => Some(say::wants_flame()),
        _ => None,
    }
}
