//! The variants that are weighed: how it is cut up, and how it is heated.

use super::answer::Shape;
use super::block::Block;
use super::suits;
use crate::forecast::{
    Case, ForecastRequest, Heat, HeatSource, Method, PartRequest, Settings, StageRequest, Until, Wrap,
};
use crate::heat::conduction::DENSITY;
use crate::heat::pit::WrapMaterial;
use crate::heat::pot::{Lid, Simmer};
use crate::heat::pressure::FULLEST;
use crate::kitchen::Kit;

/// Sides of a cube, mm.
pub const CUBE_MM: f64 = 40.0;
/// A piece no thicker than this is a stewing piece already, m.
const SMALL_M: f64 = 0.05;
/// A piece lighter than this is not halved, kg.
const HALVED_FROM_KG: f64 = 0.7;

/// One variant before it is computed.
#[derive(Debug, Clone)]
pub struct Variant {
    pub id: String,
    pub name: String,
    pub kit: Kit,
    pub shape: Shape,
    pub forecast: ForecastRequest,
    /// Offered beside the ways, where it helps.
    pub two_stage: bool,
    /// Loads it takes, where the vessel does not hold it all.
    pub loads: u32,
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
    words: &'static str,
    meat: ForecastRequest,
}

/// Cuts the block up for a vessel `across_m` wide; none where that makes no sense.
fn cut_up(block: &Block, lies: &Case, shape: Shape, across_m: Option<f64>) -> Option<Cutting> {
    let meat = &block.meat;
    let mixed = lies.parts.len() > 1;
    let main = lies.main();
    let small = lies.parts.iter().all(|part| part.sides_m[0] <= SMALL_M);
    match shape {
        Shape::Whole => {
            let lies_down =
                across_m.is_none_or(|across| lies.parts.iter().all(|part| part.sides_m[2] <= 1.05 * across));
            lies_down.then(|| Cutting { shape, words: "", meat: meat.clone() })
        }
        Shape::Halved => {
            let piece_kg = main.mass_kg / f64::from(main.pieces);
            if mixed || piece_kg < HALVED_FROM_KG || main.sides_m[0] <= SMALL_M {
                return None;
            }
            let [a, b, long] = main.sides_m;
            // In two, or in as many as lie down in the vessel.
            let cuts = across_m.map_or(2.0, |across| f64::max(2.0, (long / across).ceil()));
            let mut sides = [a, b, long / cuts];
            sides.sort_by(f64::total_cmp);
            let halved = ForecastRequest {
                size_mm: Some(sides.map(|side| (side * 1000.0).round())),
                thickness_mm: None,
                pieces: Some((f64::from(main.pieces) * cuts) as u32),
                mass_kg: Some(main.mass_kg),
                ..meat.clone()
            };
            let words = if cuts > 2.0 { ", cut to lie in the pot" } else { ", halved" };
            Some(Cutting { shape, words, meat: halved })
        }
        Shape::Cubed => {
            if small || lies.parts.iter().any(|part| !suits::cubes(part.bone_pct)) {
                return None;
            }
            let pieces =
                |mass_kg: f64| ((mass_kg / (DENSITY * (CUBE_MM / 1000.0).powi(3))).round() as u32).clamp(1, 500);
            let side =
                |part: &crate::forecast::Part| if part.sides_m[0] <= SMALL_M { None } else { Some([CUBE_MM; 3]) };
            let cubed = match &meat.parts {
                Some(parts) => ForecastRequest {
                    parts: Some(
                        (parts.iter().zip(&lies.parts))
                            .map(|(part, lies)| match side(lies) {
                                None => part.clone(),
                                size_mm => PartRequest {
                                    size_mm,
                                    thickness_mm: None,
                                    mass_kg: Some(lies.mass_kg),
                                    pieces: Some(pieces(lies.mass_kg)),
                                    ..part.clone()
                                },
                            })
                            .collect(),
                    ),
                    ..meat.clone()
                },
                None => ForecastRequest {
                    size_mm: Some([CUBE_MM; 3]),
                    thickness_mm: None,
                    mass_kg: Some(main.mass_kg),
                    pieces: Some(pieces(main.mass_kg)),
                    ..meat.clone()
                },
            };
            Some(Cutting { shape, words: ", in 4 cm cubes", meat: cubed })
        }
    }
}

/// Collects variants.
struct List<'a> {
    block: &'a Block<'a>,
    lies: &'a Case,
    across_m: f64,
    found: Vec<Variant>,
}

impl List<'_> {
    fn add(&mut self, method: Method, heat: Heat, key: &str, name: &str, kit: Kit, shapes: &[Shape]) {
        let in_pot = !matches!(method, Method::Smoke | Method::WaterBath);
        let across_m = in_pot.then_some(match method {
            Method::Pressure => 0.22,
            Method::SlowCooker => 0.24,
            _ => self.across_m,
        });
        for shape in shapes {
            let Some(cutting) = cut_up(self.block, self.lies, *shape, across_m) else { continue };
            let shape_key = format!("{:?}", cutting.shape).to_lowercase();
            self.found.push(Variant {
                id: format!("{}.{key}.{shape_key}", method.key()),
                name: format!("{name}{}", cutting.words),
                kit,
                shape: cutting.shape,
                forecast: ForecastRequest { method: Some(method), heat: Some(heat.clone()), ..cutting.meat },
                two_stage: false,
                loads: 1,
            });
        }
    }

    fn chain(&mut self, stages: Vec<StageRequest>, key: &str, name: &str, kit: Kit, in_pot: bool) {
        let across_m = in_pot.then_some(self.across_m);
        let cutting =
            [Shape::Whole, Shape::Halved].iter().find_map(|shape| cut_up(self.block, self.lies, *shape, across_m));
        if let Some(cutting) = cutting {
            self.found.push(Variant {
                id: format!("two.{key}"),
                name: name.to_owned(),
                kit,
                shape: cutting.shape,
                forecast: ForecastRequest { stages: Some(stages), ..cutting.meat },
                two_stage: true,
                loads: 1,
            });
        }
    }
}

fn stage(method: Method, heat: Heat, until: Option<Until>) -> StageRequest {
    StageRequest { method: Some(method), heat: Some(heat), lid: None, until }
}

fn minutes(min: f64) -> Option<Until> {
    Some(Until { min: Some(min), ..Until::default() })
}

/// Every variant of every way for what is on the block, whether or not its kit is free.
pub fn variants(block: &Block, lies: &Case) -> Vec<Variant> {
    use Shape::{Cubed, Halved, Whole};
    let across_m = block.kitchen.pot.across_m();
    let mut list = List { block, lies, across_m, found: Vec::new() };
    // Without a hob, what is usual on it goes into the oven.
    let on_hob = block.has(Kit::Hob) || !block.has(Kit::Oven);
    list.add(Method::Braise, oven(150.0), "oven_150", "Braise in a 150 °C oven", Kit::Oven, &[Whole, Halved]);
    list.add(Method::Braise, oven(170.0), "oven_170", "Braise in a 170 °C oven", Kit::Oven, &[Whole]);
    list.add(Method::Braise, oven(100.0), "oven_100", "Braise in a slow 100 °C oven", Kit::Oven, &[Whole]);
    list.add(Method::Braise, oven(90.0), "oven_90", "Braise overnight in a 90 °C oven", Kit::Oven, &[Whole]);
    list.add(Method::Braise, hob(Simmer::Gentle), "hob", "Braise on the hob", Kit::Hob, &[Whole, Halved]);
    let coals = Heat { source: Some(HeatSource::Coals), ..Heat::default() };
    list.add(Method::Braise, coals, "coals", "Braise over coals", Kit::Coals, &[Whole]);
    let as_they_come = list.lies.parts.iter().all(|part| part.sides_m[0] <= SMALL_M || !suits::cubes(part.bone_pct));
    let stew_shape = if as_they_come { [Whole] } else { [Cubed] };
    let (heat, words, kit) = if on_hob {
        (hob(Simmer::Gentle), "Stew on the hob", Kit::Hob)
    } else {
        (oven(150.0), "Stew in a 150 °C oven", Kit::Oven)
    };
    list.add(Method::Stew, heat, "simmer", words, kit, &stew_shape);
    if on_hob {
        list.add(Method::Stew, oven(150.0), "oven_150", "Stew in a 150 °C oven", Kit::Oven, &stew_shape);
    }
    let high = Heat { level: Some(Settings::High), ..Heat::default() };
    list.add(Method::Pressure, high, "high", "Pressure pot, high", Kit::PressurePot, &[Whole, Halved, Cubed]);
    let slow = |setting| Heat { setting: Some(setting), ..Heat::default() };
    list.add(Method::SlowCooker, slow(Settings::Low), "low", "Slow cooker on low", Kit::SlowCooker, &[Whole, Cubed]);
    list.add(
        Method::SlowCooker,
        slow(Settings::High),
        "high",
        "Slow cooker on high",
        Kit::SlowCooker,
        &[Whole, Halved],
    );
    let paper = Some(WrapMaterial::Paper);
    list.add(
        Method::Smoke,
        pit(110.0, paper),
        "pit_110_paper",
        "Pit at 110 °C, paper at the stall",
        Kit::Pit,
        &[Whole],
    );
    list.add(Method::Smoke, pit(110.0, None), "pit_110_bare", "Pit at 110 °C, bare", Kit::Pit, &[Whole]);
    list.add(
        Method::Smoke,
        pit(135.0, paper),
        "pit_135_paper",
        "Pit at 135 °C, paper at the stall",
        Kit::Pit,
        &[Whole],
    );
    list.add(Method::Smoke, pit(135.0, None), "pit_135_bare", "Pit at 135 °C, bare", Kit::Pit, &[Whole]);
    let fat = |fat_c| Heat { fat_c: Some(fat_c), ..Heat::default() };
    list.add(Method::Confit, fat(90.0), "fat_90", "Under fat at 90 °C", Kit::Oven, &[Whole, Halved]);
    list.add(Method::WaterBath, bath(82.0), "bath_82", "Bag in an 82 °C bath", Kit::WaterBath, &[Whole]);
    list.add(Method::WaterBath, bath(75.0), "bath_75", "Bag in a 75 °C bath", Kit::WaterBath, &[Whole]);

    let smoked = |hours: f64| stage(Method::Smoke, pit(110.0, None), minutes(hours * 60.0));
    let braised = if block.has(Kit::Oven) { oven(150.0) } else { hob(Simmer::Gentle) };
    list.chain(
        vec![smoked(4.0), stage(Method::WaterBath, bath(85.0), None)],
        "smoke_bag",
        "Smoke 4 h, then bag it at 85 °C",
        Kit::Pit,
        false,
    );
    list.chain(
        vec![smoked(3.0), stage(Method::Braise, braised.clone(), None)],
        "smoke_braise",
        "Smoke 3 h, then braise it",
        Kit::Pit,
        true,
    );
    let tender = Some(Until { tender: Some(true), ..Until::default() });
    list.chain(
        vec![
            stage(Method::Braise, braised, tender),
            // A night in the cold at least: the fat sets and lifts off whole.
            stage(Method::Chill, Heat::default(), minutes(600.0)),
            StageRequest {
                lid: Some(Lid::Tight),
                ..stage(Method::Reheat, Heat { to_c: Some(74.0), ..Heat::default() }, None)
            },
        ],
        "day_before",
        "Braise the day before, reheat",
        if block.has(Kit::Oven) { Kit::Oven } else { Kit::Hob },
        true,
    );
    for variant in &mut list.found {
        into_loads(block, variant);
    }
    list.found
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
                    .map(|part| PartRequest {
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

/// Whether a way asks for someone now and then: how often, in words.
pub fn wants(medium_kit: Kit, pit_holds_itself: bool) -> Option<&'static str> {
    match medium_kit {
        Kit::Coals => Some("its coals seen to every quarter of an hour"),
        Kit::Pit if !pit_holds_itself => Some("its fire seen to every three quarters of an hour"),
        Kit::Hob => Some("a flame watched"),
        _ => None,
    }
}
