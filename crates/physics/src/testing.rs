//! A braise to try the rooms with.

use crate::body::{BodyShape, DENSITY};
use crate::case::{Case, End, Stage};
use crate::juices::Body;
use crate::liquid::Packing;
use crate::medium::Medium;
use crate::model::Model;
use crate::parameters::Parameters;
use crate::part::{Muscle, Part};
use crate::tender::Goal;
use crate::vessel::{Cover, SimmerLevel, Vessel};

/// A gentle simmer.
pub(crate) const SIMMERS: Medium = Medium::Hob { simmer: SimmerLevel::Gentle };

/// A piece of 1.4 kg that is tender after three tender-hours.
pub(crate) fn piece(thickness_m: f64) -> Part {
    let area_m2 = 1.4 / DENSITY / thickness_m;
    Part {
        muscle: Muscle { fat_pct: 12.0, collagen_pct: 1.8, usual_trim_pct: 6.0 },
        mass_kg: 1.4,
        bone_pct: 0.0,
        trim_pct: 6.0,
        thickness_m,
        shape: BodyShape::from_sides([thickness_m, area_m2.sqrt(), area_m2.sqrt()]),
        goal: Goal {
            enough: 3.0,
            middle_share: Parameters::USUAL.tender.middle_share,
            overcooked: 8.0,
            toughness: 1.0,
        },
        thickness_sigma: 0.07,
        toughness_ln_sigma: 0.2,
    }
}

/// It goes on until something ends it.
pub(crate) fn stage(medium: Medium, end: End) -> Stage {
    Stage { medium, vessel: Vessel::usual(Cover::Tight), end, lit_anew: false, thinner: None }
}

/// That piece in a usual pot with a litre of hot liquid, one stage after another.
pub(crate) fn case(thickness_m: f64, stages: Vec<Stage>) -> Case {
    let part = piece(thickness_m);
    let side_m = (1.4 / DENSITY / thickness_m).sqrt();
    let floor_m2 = stages[0].vessel.floor_m2;
    Case {
        mass_kg: part.mass_kg,
        start_c: 5.0,
        packing: Packing::lay(floor_m2, [thickness_m, side_m, side_m], 1, 1.4 / DENSITY),
        liquid_l: 1.0,
        liquid_start_c: 60.0,
        added: Vec::new(),
        boil_c: 100.0,
        body: Body::default(),
        salt_g: 14.0,
        liquid_salt_g: 0.0,
        larder_fat_l: 0.0,
        larder_water_l: 0.0,
        model: Model::usual(),
        inside: true,
        parts: vec![part],
        stages,
    }
}

/// The same simmered for as long as it stays on.
pub(crate) fn simmered(thickness_m: f64) -> Case {
    case(thickness_m, vec![stage(SIMMERS, End::Stays)])
}
