//! The pieces laid in batches: how many, how hot the pan stays, how long it takes.

use ergastic_words::{Message, prepare as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::burner::Burner;
use super::pan::{Batch, HotPan, InPan, falls_back, usual_kg_per_m2};
use crate::bench::{Larder, Prepare, Sear, SearFat, SearIn, Surface};
use crate::forecast::ResolvedDish;
use crate::kitchen::Kitchen;
use ergastic_physics::places::ROOM_C;

/// Share of the pan's floor that pieces may cover before they steam. Working value, from practice.
const PAN_COVER: f64 = 0.60;
/// Water on a patted and on a wet surface, kg/m². Working values.
const FILM_PATTED: f64 = 0.03;
const FILM_WET: f64 = 0.2;
/// Browning on each side at the middling pace, s. Practice: two to three minutes, half of it for golden.
const BROWN_HARD_S: f64 = 220.0;
const BROWN_LIGHT_S: f64 = 100.0;
/// Nobody waits longer between batches, min: a weaker pan starts the next one cooler.
const MAX_RECOVERY_MIN: f64 = 4.0;
/// Looking, and fetching the next batch, min. Working value.
const BATCH_MIN: f64 = 0.5;
/// Laying, turning and lifting a piece, each time, beside what browns meanwhile, s. Working value.
const HANDLING_S: f64 = 1.5;
/// An upturned iron lid over its pot's floor: lighter than a pan. Working value.
const LID_SHARE: f64 = 0.7;
/// From this much of its own fat a cut browns in it, %. Working value.
const FAT_ENOUGH_PCT: f64 = 15.0;

/// One point of the pan's heat over a batch.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct PanPoint {
    /// Minutes since the first piece went in.
    pub min: f64,
    /// The pan, °C.
    pub celsius: f64,
}

/// How the meat goes through the pan.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct SearPlan {
    /// How the pieces are laid, in words; empty where nothing goes through a pan.
    pub words: String,
    /// Batches; none without a sear.
    pub batches: u32,
    /// Pieces in each.
    pub per_batch: u32,
    /// Minutes for all of them, the pan's recovery included, from the hot pan on.
    pub min: f64,
    /// The coolest the pan becomes, °C.
    pub pan_low_c: Option<f64>,
    /// It falls below browning: the meat boils grey in its juice.
    pub stews: bool,
    /// Minutes a grey wet pan needs to boil itself dry and brown after all; 0 where it browns at once, `null` if never.
    pub wait_to_brown_min: Option<f64>,
    /// Minutes a batch takes, turning and recovery included.
    pub batch_min: f64,
    /// Minutes on the first side.
    pub side_min: f64,
    /// Sides turned.
    pub sides: u32,
    /// Minutes the pan takes to get hot.
    pub heat_pan_min: f64,
    /// Minutes to come back between batches.
    pub recovery_min: f64,
    /// The pan as the meat goes in, °C.
    pub start_c: f64,
    /// The pan as each batch goes in, °C.
    pub batch_start_c: Vec<f64>,
    /// The most pieces that brown at once and leave room.
    pub most: u32,
    /// Across the pan's floor, mm.
    pub floor_mm: f64,
    /// A piece lying on its broad side, mm.
    #[schema(min_items = 2, max_items = 2)]
    pub lies_mm: [f64; 2],
    /// Pans at once.
    pub pans: u32,
    /// What it is browned in.
    pub fat: SearFat,
    /// The pan over the first batch.
    pub trace: Vec<PanPoint>,
}

impl SearPlan {
    /// Nothing is seared.
    pub(super) fn none() -> Self {
        Self {
            words: String::new(),
            batches: 0,
            per_batch: 0,
            min: 0.0,
            pan_low_c: None,
            stews: false,
            wait_to_brown_min: Some(0.0),
            batch_min: 0.0,
            side_min: 0.0,
            sides: 0,
            heat_pan_min: 0.0,
            recovery_min: 0.0,
            start_c: 0.0,
            batch_start_c: Vec::new(),
            most: 0,
            floor_mm: 0.0,
            lies_mm: [0.0; 2],
            pans: 0,
            fat: SearFat::Oil,
            trace: Vec::new(),
        }
    }

    /// Whole minutes a batch is planned with.
    pub fn batch_task_min(&self) -> f64 {
        self.batch_min.ceil()
    }

    /// Whether anything goes through a pan.
    pub fn happens(&self) -> bool {
        self.batches > 0
    }
}

/// The frying pan's floor, m².
pub(super) fn pan_m2(bench: &Prepare, kitchen: &Kitchen) -> f64 {
    let given = bench.pan.unwrap_or_default();
    std::f64::consts::PI * (given.diameter_cm.unwrap_or(kitchen.pan().diameter_cm) / 200.0).powi(2)
}

/// The pan, and how many of them.
fn hot_pan(case: &ResolvedDish, bench: &Prepare, kitchen: &Kitchen) -> (HotPan, u32) {
    let pot = case.pot();
    let of_pot = |share: f64| (pot.floor_m2, share * pot.floor_m2 * usual_kg_per_m2(pot.material), pot.material);
    let own = || {
        let given = bench.pan.unwrap_or_default();
        let floor_m2 = pan_m2(bench, kitchen);
        let material = given.material.unwrap_or(kitchen.pan().material);
        (floor_m2, given.mass_kg.unwrap_or(floor_m2 * usual_kg_per_m2(material)), material)
    };
    let burner = match bench.sear_in {
        SearIn::Pot => Burner::under_pot(case, bench, kitchen),
        _ => Burner::of_hob(bench, kitchen),
    };
    let ((floor_m2, mass_kg, material), pans) = match bench.sear_in {
        SearIn::Pan => (own(), 1),
        SearIn::TwoPans => (own(), 2),
        SearIn::Pot => (of_pot(1.0), 1),
        SearIn::PotAndLid => (of_pot(LID_SHARE), 2),
        SearIn::Lid => (of_pot(LID_SHARE), 1),
    };
    let pan = HotPan {
        floor_m2,
        capacity: mass_kg * material.wall().specific_heat(&case.how.model.p),
        power_w: burner.power_w(),
    };
    (pan, pans)
}

/// What cuts as lean as this brown in.
pub fn usual_fat(case: &ResolvedDish, bench: &Prepare) -> SearFat {
    // Bacon is rendered before anything else is browned.
    if !bench.clear && bench.ingredients.iter().any(|thing| thing.what == Larder::Bacon) {
        return SearFat::Bacon;
    }
    if case.main().facts.fat_pct >= FAT_ENOUGH_PCT { SearFat::Own } else { SearFat::Oil }
}

/// How long a side browns, s, and how hot the pan is for it, °C; sugar burns: a coat of it wants the pan gentler.
fn browned(bench: &Prepare) -> Option<(f64, f64)> {
    let (brown_s, hot_c) = match bench.sear {
        // A broth that is to be clear takes nothing brown.
        _ if bench.clear => return None,
        Sear::None => return None,
        Sear::Hard => (BROWN_HARD_S, 230.0),
        Sear::Light => (BROWN_LIGHT_S, 205.0),
    };
    Some((brown_s, if bench.sugared { 180.0 } else { hot_c }))
}

/// Lays the pieces in batches: the most that leave room and still brown, or as many as the cook says.
pub fn sear(case: &ResolvedDish, bench: &Prepare, kitchen: &Kitchen) -> SearPlan {
    let Some((brown_s, hot_c)) = browned(bench).filter(|_| !case.goes_in_frozen()) else { return SearPlan::none() };
    let (pan, pans) = hot_pan(case, bench, kitchen);
    let start_c = f64::min(hot_c, 0.95 * pan.most_c());
    let [thick, middle, long] = case.main().sides_m;
    let lies_m2 = middle * long;
    // A chunky piece is turned onto its edges too.
    let edges = if thick > 0.5 * middle { vec![thick * long; 2] } else { Vec::new() };
    let film = if bench.surface == Surface::Wet { FILM_WET } else { FILM_PATTED };
    let lay = |pieces: u32| InPan {
        sides_m2: [vec![lies_m2; 2], edges.clone()]
            .concat()
            .iter()
            .map(|area| f64::min(area * f64::from(pieces), pan.floor_m2))
            .collect(),
        film,
        brown_s,
        falls_back: falls_back(f64::from(pieces) * lies_m2 / pan.floor_m2, pieces),
    };
    let each_pan = case.pieces.div_ceil(pans);
    let room = ((PAN_COVER * pan.floor_m2 / lies_m2).floor() as u32).clamp(1, each_pan);
    let most = most_that_browns(room, |pieces| !pan.sear(start_c, &lay(pieces)).stews);
    // As many batches as are needed, and evenly laid: a last one of one piece leaves the pan bare.
    let even = each_pan.div_ceil(each_pan.div_ceil(most));
    let per_pan = bench.per_batch.map_or(even, |wanted| wanted.div_ceil(pans).clamp(1, each_pan));
    let per_batch = (per_pan * pans).min(case.pieces);
    let batches = case.pieces.div_ceil(per_batch);

    let first = pan.sear(start_c, &lay(per_pan));
    let in_batch = |number: u32| per_pan.min((case.pieces - number * per_batch).div_ceil(pans));
    let row = in_a_row(&pan, start_c, (0..batches).map(|number| (in_batch(number), lay(in_batch(number)))));
    let low_c = row.iter().fold(first.low_c, |low, done| f64::min(low, done.low_c));
    let min: f64 = row.iter().map(|done| done.min).sum();
    SearPlan {
        words: case.voice.render(laid_words(batches, per_batch, case.pieces)),
        batches,
        per_batch,
        min,
        pan_low_c: Some(low_c.round()),
        stews: first.stews,
        wait_to_brown_min: if first.stews { first.first_brown_s.map(|s| s / 60.0) } else { Some(0.0) },
        batch_min: min / f64::from(batches),
        side_min: first.side_s.first().map_or(0.0, |s| s / 60.0),
        sides: (2 + edges.len()) as u32,
        heat_pan_min: pan.warms_s(ROOM_C, start_c).map_or(15.0, |s| s / 60.0),
        recovery_min: recovers_min(&pan, &first, start_c),
        start_c,
        batch_start_c: row.iter().map(|done| done.start_c.round()).collect(),
        most: most * pans,
        floor_mm: (pan.floor_m2 * 4.0 / std::f64::consts::PI).sqrt() * 1000.0,
        lies_mm: [middle * 1000.0, long * 1000.0],
        pans,
        fat: bench.fat.unwrap_or_else(|| usual_fat(case, bench)),
        trace: first.trace.iter().map(|&(s, celsius)| PanPoint { min: s / 60.0, celsius }).collect(),
    }
}

/// How they are laid, as a cook says it.
fn laid_words(batches: u32, per_batch: u32, pieces: u32) -> Message {
    let last = pieces - (batches - 1) * per_batch;
    match batches {
        1 => say::all_at_once(),
        _ if last == per_batch => say::batches_of(batches, per_batch),
        _ => say::batches_and_a_last(batches, per_batch, last),
    }
}

/// The largest batch up to `room` that still browns, one at least: heat falls with every piece, so it can be halved down to.
fn most_that_browns(room: u32, browns: impl Fn(u32) -> bool) -> u32 {
    let (mut most, mut too_many) = (0, room + 1);
    while too_many - most > 1 {
        let tried = most + (too_many - most) / 2;
        if browns(tried) { most = tried } else { too_many = tried }
    }
    most.max(1)
}

/// Until the pan is hot again after a batch, min.
fn recovers_min(pan: &HotPan, batch: &Batch, start_c: f64) -> f64 {
    pan.warms_s(batch.end_c, start_c).map_or(MAX_RECOVERY_MIN, |s| (s / 60.0).min(MAX_RECOVERY_MIN))
}

/// A batch that is done.
struct Done {
    /// How hot the pan was when it went in, °C.
    start_c: f64,
    low_c: f64,
    /// With the wait for the pan before the next, min.
    min: f64,
}

/// One batch after the other: with less than its full wait the pan starts the next where it has come to.
fn in_a_row(pan: &HotPan, start_c: f64, batches: impl ExactSizeIterator<Item = (u32, InPan)>) -> Vec<Done> {
    let count = batches.len();
    let mut at_c = start_c;
    let done = |(number, (pieces, laid)): (usize, (u32, InPan))| {
        let batch = pan.sear(at_c, &laid);
        let recovery_min = if number + 1 < count { recovers_min(pan, &batch, start_c) } else { 0.0 };
        let handled_s = HANDLING_S * f64::from(pieces) * (1.0 + laid.sides_m2.len() as f64);
        let seared_min = (batch.side_s.iter().sum::<f64>() + handled_s) / 60.0 + BATCH_MIN;
        let done = Done { start_c: at_c, low_c: batch.low_c, min: seared_min + recovery_min };
        at_c = f64::min(start_c, pan.warmed_c(batch.end_c, recovery_min * 60.0));
        done
    };
    batches.enumerate().map(done).collect()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::bench::{BurnerAsked, Pan};
    use crate::cuts::Cut;
    use crate::forecast::ForecastRequest;
    use crate::heat::hob::HobKind;
    use crate::heat::pot::Material;
    use crate::ways::Method;

    fn case(pieces: u32, size_mm: [f64; 3]) -> ResolvedDish {
        ForecastRequest {
            cut: Some(Cut::ShortRib),
            mass_kg: Some(2.4),
            pieces: Some(pieces),
            size_mm: Some(size_mm),
            method: Some(Method::Braise),
            ..Default::default()
        }
        .resolve()
        .unwrap()
    }

    fn seared(case: &ResolvedDish, bench: Prepare) -> SearPlan {
        sear(case, &bench, &Kitchen::default())
    }

    #[test]
    fn batches_leave_room_in_the_pan_and_take_every_piece() {
        let ribs = case(8, [50.0, 60.0, 100.0]);
        let plan = seared(&ribs, Prepare::default());
        // 616 cm² of floor, three fifths of it, six by ten centimetres a piece.
        assert_eq!(
            (plan.most, plan.per_batch, plan.batches, plan.stews),
            (6, 4, 2, false),
            "six would go in, four and four are even"
        );
        let small = seared(
            &ribs,
            Prepare { pan: Some(Pan { diameter_cm: Some(18.0), ..Pan::default() }), ..Prepare::default() },
        );
        assert!(small.batches > plan.batches && small.per_batch * small.batches >= 8);
        assert!(seared(&ribs, Prepare { sear: Sear::Light, ..Prepare::default() }).min < plan.min);
        assert!(!seared(&ribs, Prepare { sear: Sear::None, ..Prepare::default() }).happens());
        let two = seared(&ribs, Prepare { sear_in: SearIn::TwoPans, ..Prepare::default() });
        assert!(two.batches == 1 && two.min < plan.min);
    }

    #[test]
    fn a_weak_burner_asks_for_more_batches_and_a_crowded_pan_stews() {
        let ribs = case(8, [50.0, 60.0, 100.0]);
        let thin = Pan { diameter_cm: Some(28.0), mass_kg: Some(0.9), material: Some(Material::Aluminium) };
        let hob = BurnerAsked { watts: Some(1300.0), kind: Some(HobKind::Gas) };
        let weak = Prepare { pan: Some(thin), hob: Some(hob), surface: Surface::Wet, ..Prepare::default() };
        let careful = seared(&ribs, weak.clone());
        let crowded = seared(&ribs, Prepare { per_batch: Some(8), ..weak });
        assert!(careful.per_batch < 6, "{careful:?}");
        assert!(crowded.stews && crowded.wait_to_brown_min.is_some_and(|min| min > 4.0), "{crowded:?}");
        assert!(crowded.pan_low_c < careful.pan_low_c);
    }

    #[test]
    fn a_joint_wider_than_the_pan_still_goes_in() {
        let joint = case(1, [80.0, 300.0, 400.0]);
        let plan = seared(
            &joint,
            Prepare { pan: Some(Pan { diameter_cm: Some(24.0), ..Pan::default() }), ..Prepare::default() },
        );
        assert_eq!((plan.per_batch, plan.batches), (1, 1));
    }
}
