//! The variants that are weighed: how it is cut up, and how it is heated.

use ergastic_words::{Length, Message, matching as say};

use super::block::MeatToMatch;
use super::hurry::Hurry;
use super::suits;
use crate::cuts::Shape;
use crate::cuts::{CUBE_MM, STEWING_PIECE_M, cubes_in};
use crate::forecast::{ForecastRequest, Meat, ResolvedDish, ResolvedPart};
use crate::kitchen::ThingKind;
use crate::ways::chains::chains;
use crate::ways::preset::{Chain, Preset};
use crate::ways::{Method, StandsIn, presets};
use ergastic_physics::pressure::FULLEST;

use Shape::{Halved, Whole};

/// A piece lighter than this is not halved, kg.
const HALVED_FROM_KG: f64 = 0.7;

/// One variant before it is computed.
#[derive(Debug, Clone)]
pub struct Variant {
    pub id: String,
    pub name: Message,
    /// Its name, however it is cut up.
    pub uncut: Message,
    pub kit: ThingKind,
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

/// The meat in a shape, with the words for it.
struct Cutting {
    shape: Shape,
    words: Option<Message>,
    meat: ForecastRequest,
}

/// Cuts the block up for a vessel `across_m` wide; none where that makes no sense.
fn cut_up(block: &MeatToMatch, lies: &ResolvedDish, shape: Shape, across_m: Option<f64>) -> Option<Cutting> {
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
fn halved(meat: &ForecastRequest, lies: &ResolvedDish, across_m: Option<f64>) -> Option<Cutting> {
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
fn cubed(meat: &ForecastRequest, lies: &ResolvedDish) -> Option<ForecastRequest> {
    let small = |part: &ResolvedPart| part.sides_m[0] <= STEWING_PIECE_M;
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
    let part = |(asked, lies): (&Meat, &ResolvedPart)| {
        if small(lies) {
            return asked.clone();
        }
        let pieces = Some(pieces(lies.mass_kg));
        Meat { size_mm, thickness_mm: None, mass_kg: Some(lies.mass_kg), pieces, ..asked.clone() }
    };
    let parts = parts.iter().zip(&lies.parts).map(part).collect();
    Some(ForecastRequest { parts: Some(parts), ..meat.clone() })
}

/// How the meat is cut up for a preset: what is small or bony already goes into a stew as it comes.
fn shapes(preset: &Preset, lies: &ResolvedDish) -> &'static [Shape] {
    let as_it_comes = |part: &ResolvedPart| part.sides_m[0] <= STEWING_PIECE_M || !suits::cubes(part.bone_pct);
    if preset.method == Method::Stew && lies.parts.iter().all(as_it_comes) { &[Whole] } else { preset.shapes }
}

/// The vessel that a way's meat lies in, m across; none in a bag or on a grate.
fn across_m(block: &MeatToMatch, method: Method) -> Option<f64> {
    match method.usual().facts().stands_in {
        StandsIn::PressurePot => Some(block.kitchen.pressure_pot().diameter_cm / 100.0),
        StandsIn::SlowCooker => Some(block.kitchen.slow_cooker().diameter_cm / 100.0),
        StandsIn::Pot | StandsIn::Anything => Some(block.kitchen.pot().across_m()),
        StandsIn::Nothing => None,
    }
}

fn of_a_preset(block: &MeatToMatch, lies: &ResolvedDish, preset: &Preset) -> Vec<Variant> {
    let across_m = across_m(block, preset.method);
    let Some(kit) = preset.heat.way(preset.method).ok().and_then(|way| way.facts().kit) else { return Vec::new() };
    let cut = shapes(preset, lies).iter().filter_map(|shape| cut_up(block, lies, *shape, across_m));
    cut.map(|cutting| Variant {
        id: format!("{}.{}.{}", preset.method.key(), preset.key, cutting.shape.key()),
        name: match cutting.words {
            None => preset.name.clone(),
            Some(words) => say::cut_up(preset.name.clone(), words),
        },
        uncut: preset.name.clone(),
        kit,
        shape: cutting.shape,
        forecast: ForecastRequest { method: Some(preset.method), heat: Some(preset.heat.clone()), ..cutting.meat },
        two_stage: false,
        loads: 1,
        hurry: None,
    })
    .collect()
}

fn of_a_chain(block: &MeatToMatch, lies: &ResolvedDish, chain: Chain) -> Option<Variant> {
    let across_m = chain.in_pot.then(|| block.kitchen.pot().across_m());
    let cutting = [Whole, Halved].iter().find_map(|shape| cut_up(block, lies, *shape, across_m))?;
    Some(Variant {
        id: format!("two.{}", chain.key),
        uncut: chain.name.clone(),
        name: chain.name,
        kit: chain.kit,
        shape: cutting.shape,
        forecast: ForecastRequest { stages: Some(chain.stages), ..cutting.meat },
        two_stage: true,
        loads: 1,
        hurry: None,
    })
}

/// Every variant of every way for what is on the block, whether or not its kit is free.
pub fn variants(block: &MeatToMatch, lies: &ResolvedDish) -> Vec<Variant> {
    let units = block.kitchen.units;
    let ways = presets(units);
    let ways = ways.iter().flat_map(|preset| of_a_preset(block, lies, preset));
    let chains =
        chains(units, block.has(ThingKind::Oven)).into_iter().filter_map(|chain| of_a_chain(block, lies, chain));
    let mut found: Vec<Variant> = ways.chain(chains).collect();
    for variant in &mut found {
        into_loads(block, variant);
    }
    found
}

/// Where its vessel does not take it all, the variant becomes several loads: each is computed, all are counted.
fn into_loads(block: &MeatToMatch, variant: &mut Variant) {
    let resolves = |forecast: &ForecastRequest| {
        let full = |case: &ResolvedDish| (case.liquid_l / 1000.0 + case.packing.meat_m3) / case.pot().volume_m3();
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
