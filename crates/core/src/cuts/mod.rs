//! The cuts: what a muscle is made of, and whether hours of moist heat do it any good.

mod eaten;
mod shape;

use ergastic_physics::body::DENSITY;
use ergastic_physics::parameters::Parameters;
use ergastic_physics::part::Muscle;
use ergastic_words::{Join, Message, Percent, Voice, cuts as say, errors};
use serde::{Deserialize, Serialize};
use strum::IntoStaticStr;
use utoipa::ToSchema;

use crate::error::{Error, Result, WhatIsWrong};

pub use eaten::EatenAs;
pub use shape::Shape;

/// A beef cut by the name of its muscle or joint.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Cut {
    /// Chuck.
    Chuck,
    /// Blade.
    Blade,
    /// Neck.
    Neck,
    /// Short rib.
    ShortRib,
    /// Plate rib.
    PlateRib,
    /// Rib finger.
    RibFinger,
    /// Brisket flat.
    BrisketFlat,
    /// Brisket point.
    BrisketPoint,
    /// Brisket.
    Brisket,
    /// Corned brisket.
    CornedBrisket,
    /// Shin.
    Shin,
    /// Shin bone in.
    ShinBoneIn,
    /// Heel.
    Heel,
    /// Cheek.
    Cheek,
    /// Oxtail.
    Oxtail,
    /// Tendon.
    Tendon,
    /// Round.
    Round,
    /// Topside.
    Topside,
    /// Silverside.
    Silverside,
    /// Eye round.
    EyeRound,
    /// Skirt.
    Skirt,
    /// Flank.
    Flank,
    /// Sirloin.
    Sirloin,
    /// Stewing mix.
    StewingMix,
    /// Fillet.
    Fillet,
    /// Rib eye.
    RibEye,
    /// Strip.
    Strip,
}

/// Spread of the resistance from animal to animal, as a standard deviation of its logarithm, where a cut is one muscle.
/// Working value, by how practice scatters.
pub const RESISTANCE_LN_SIGMA: f64 = 0.18;

/// A piece no thicker than this is a stewing piece, m. Practice.
pub const STEWING_PIECE_M: f64 = 0.05;
/// So many pieces at the most are cut in two: a pot of many is cut anew.
pub const FEW_PIECES: u32 = 6;
/// A plate of cooked meat, kg: between 150 and 180 g. Practice.
pub const PORTION_KG: f64 = 0.165;
/// Sides of a cube for stewing, mm. Practice.
pub const CUBE_MM: f64 = 40.0;

/// Cubes that so much meat is cut into.
pub fn cubes_in(mass_kg: f64) -> u32 {
    ((mass_kg / (DENSITY * (CUBE_MM / 1000.0).powi(3))).round() as u32).clamp(1, 500)
}

/// How fast a cut dries and falls apart once it is tender.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum DryRisk {
    /// Fat and gelatin keep it moist.
    Low,
    /// Some care.
    Mid,
    /// Lean: tough *and* easily dry.
    High,
}

impl DryRisk {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }
}

/// What the computation needs to know of a cut. Percentages are of the raw mass.
///
/// Toughness is a parameter; the rest are working values: published composition of beef cuts scatters more widely than the rows differ.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub struct CutFacts {
    /// Which cut.
    pub cut: Cut,
    /// Its name in JSON.
    #[serde(skip)]
    pub key: &'static str,
    /// Whether long cooking does it good; `false` for tender cuts.
    pub suitable: bool,
    /// Tender-hours needed relative to chuck.
    pub toughness: f64,
    /// Spread of the resistance from animal to animal, as a standard deviation of its logarithm.
    pub toughness_ln_sigma: f64,
    /// Spread of the thickness, relative.
    pub thickness_sigma: f64,
    /// Collagen, % of mass.
    pub collagen_pct: f64,
    /// Fat, % of mass.
    pub fat_pct: f64,
    /// Bone, % of mass.
    pub bone_pct: f64,
    /// Trimmed off, % of mass.
    pub trim_pct: f64,
    /// How easily it dries.
    pub dry_risk: DryRisk,
    /// How it is eaten unless the cook says otherwise.
    pub eaten_as: EatenAs,
    /// Middle and longest side of a piece over its thickness.
    #[schema(min_items = 2, max_items = 2)]
    pub aspect: [f64; 2],
    /// Mass of one piece as it usually comes, kg.
    pub piece_kg: f64,
}

use Cut as C;
use DryRisk::{High, Low, Mid};
use EatenAs::{Fork, Slice, Spoon};

/// What most muscles have in common.
const MUSCLE: CutFacts = CutFacts {
    cut: C::Chuck,
    key: "",
    suitable: true,
    toughness: 0.0,
    toughness_ln_sigma: RESISTANCE_LN_SIGMA,
    thickness_sigma: 0.07,
    collagen_pct: 0.0,
    fat_pct: 0.0,
    bone_pct: 0.0,
    trim_pct: 0.0,
    dry_risk: Low,
    eaten_as: Fork,
    aspect: [1.0, 1.0],
    piece_kg: 0.0,
};

/// A cut without much collagen: refused.
const TENDER: CutFacts = CutFacts {
    suitable: false,
    collagen_pct: 0.4,
    trim_pct: 4.0,
    dry_risk: High,
    eaten_as: Slice,
    aspect: [1.6, 3.0],
    piece_kg: 1.2,
    ..MUSCLE
};

/// Every cut Ergastic knows.
#[rustfmt::skip]
static CUTS: [CutFacts; 27] = with_toughness([
    CutFacts { cut: C::Chuck, key: "chuck", collagen_pct: 1.5, fat_pct: 15.0, trim_pct: 6.0, aspect: [1.7, 2.3], piece_kg: 1.4, ..MUSCLE },
    CutFacts { cut: C::Blade, key: "blade", collagen_pct: 1.8, fat_pct: 10.0, trim_pct: 6.0, aspect: [2.0, 3.0], piece_kg: 1.2, ..MUSCLE },
    CutFacts { cut: C::Neck, key: "neck", collagen_pct: 1.8, fat_pct: 10.0, bone_pct: 10.0, trim_pct: 6.0, aspect: [1.5, 2.0], piece_kg: 1.2, ..MUSCLE },
    CutFacts { cut: C::ShortRib, key: "short_rib", collagen_pct: 1.8, fat_pct: 28.0, bone_pct: 30.0, trim_pct: 6.0, aspect: [1.2, 2.0], piece_kg: 0.34, ..MUSCLE },
    CutFacts { cut: C::PlateRib, key: "plate_rib", collagen_pct: 1.8, fat_pct: 28.0, bone_pct: 25.0, trim_pct: 6.0, eaten_as: EatenAs::Probe, aspect: [2.3, 4.6], piece_kg: 2.6, ..MUSCLE },
    CutFacts { cut: C::RibFinger, key: "rib_finger", collagen_pct: 1.8, fat_pct: 25.0, trim_pct: 6.0, aspect: [1.3, 6.0], piece_kg: 0.12, ..MUSCLE },
    CutFacts { cut: C::BrisketFlat, key: "brisket_flat", collagen_pct: 1.9, fat_pct: 8.0, trim_pct: 10.0, dry_risk: Mid, eaten_as: Slice, aspect: [3.5, 6.0], piece_kg: 2.5, ..MUSCLE },
    CutFacts { cut: C::BrisketPoint, key: "brisket_point", collagen_pct: 1.9, fat_pct: 25.0, trim_pct: 10.0, eaten_as: Slice, aspect: [2.2, 3.0], piece_kg: 2.2, ..MUSCLE },
    CutFacts { cut: C::Brisket, key: "brisket", collagen_pct: 1.9, fat_pct: 18.0, trim_pct: 10.0, dry_risk: Mid, eaten_as: Slice, aspect: [2.5, 4.0], piece_kg: 5.5, ..MUSCLE },
    CutFacts { cut: C::CornedBrisket, key: "corned_brisket", collagen_pct: 1.9, fat_pct: 12.0, trim_pct: 10.0, dry_risk: Mid, eaten_as: Slice, aspect: [2.5, 3.7], piece_kg: 2.0, ..MUSCLE },
    CutFacts { cut: C::Shin, key: "shin", collagen_pct: 3.2, fat_pct: 5.0, trim_pct: 5.0, aspect: [1.7, 2.5], piece_kg: 0.95, ..MUSCLE },
    CutFacts { cut: C::ShinBoneIn, key: "shin_bone_in", collagen_pct: 3.2, fat_pct: 5.0, bone_pct: 35.0, trim_pct: 5.0, aspect: [2.5, 3.0], piece_kg: 0.45, ..MUSCLE },
    CutFacts { cut: C::Heel, key: "heel", collagen_pct: 3.2, fat_pct: 5.0, trim_pct: 5.0, aspect: [1.5, 2.2], piece_kg: 0.9, ..MUSCLE },
    CutFacts { cut: C::Cheek, key: "cheek", collagen_pct: 3.2, fat_pct: 8.0, trim_pct: 12.0, eaten_as: Spoon, aspect: [1.6, 2.4], piece_kg: 0.45, ..MUSCLE },
    CutFacts { cut: C::Oxtail, key: "oxtail", collagen_pct: 3.5, fat_pct: 28.0, bone_pct: 45.0, trim_pct: 3.0, aspect: [1.3, 1.6], piece_kg: 0.15, ..MUSCLE },
    CutFacts { cut: C::Tendon, key: "tendon", collagen_pct: 25.0, fat_pct: 2.0, trim_pct: 0.0, eaten_as: Spoon, aspect: [1.3, 6.0], piece_kg: 0.15, ..MUSCLE },
    CutFacts { cut: C::Round, key: "round", collagen_pct: 1.0, fat_pct: 5.0, trim_pct: 4.0, dry_risk: High, eaten_as: Slice, aspect: [1.5, 2.2], piece_kg: 1.6, ..MUSCLE },
    CutFacts { cut: C::Topside, key: "topside", collagen_pct: 1.0, fat_pct: 5.0, trim_pct: 4.0, dry_risk: High, eaten_as: Slice, aspect: [1.5, 2.2], piece_kg: 1.6, ..MUSCLE },
    CutFacts { cut: C::Silverside, key: "silverside", collagen_pct: 1.0, fat_pct: 5.0, trim_pct: 4.0, dry_risk: High, eaten_as: Slice, aspect: [1.6, 2.5], piece_kg: 1.8, ..MUSCLE },
    CutFacts { cut: C::EyeRound, key: "eye_round", collagen_pct: 1.0, fat_pct: 5.0, trim_pct: 4.0, dry_risk: High, eaten_as: Slice, aspect: [1.0, 2.8], piece_kg: 1.2, ..MUSCLE },
    CutFacts { cut: C::Skirt, key: "skirt", collagen_pct: 1.0, fat_pct: 8.0, trim_pct: 5.0, dry_risk: Mid, aspect: [3.0, 6.0], piece_kg: 0.6, ..MUSCLE },
    CutFacts { cut: C::Flank, key: "flank", collagen_pct: 1.0, fat_pct: 8.0, trim_pct: 5.0, dry_risk: Mid, aspect: [5.0, 8.0], piece_kg: 0.8, ..MUSCLE },
    CutFacts { cut: C::Sirloin, key: "sirloin", collagen_pct: 0.7, fat_pct: 7.0, trim_pct: 5.0, dry_risk: High, aspect: [1.5, 2.2], piece_kg: 1.2, ..MUSCLE },
    CutFacts { cut: C::StewingMix, key: "stewing_mix", toughness_ln_sigma: 0.35, thickness_sigma: 0.25, collagen_pct: 1.5, fat_pct: 10.0, trim_pct: 2.0, dry_risk: Mid, aspect: [1.0, 1.2], piece_kg: 0.045, ..MUSCLE },
    CutFacts { cut: C::Fillet, key: "fillet", fat_pct: 5.0, ..TENDER },
    CutFacts { cut: C::RibEye, key: "rib_eye", fat_pct: 25.0, ..TENDER },
    CutFacts { cut: C::Strip, key: "strip", fat_pct: 15.0, ..TENDER },
]);

/// Each with its toughness.
const fn with_toughness<const N: usize>(mut all: [CutFacts; N]) -> [CutFacts; N] {
    let mut at = 0;
    while at < N {
        all[at].toughness = all[at].cut.toughness(&Parameters::USUAL);
        at += 1;
    }
    all
}

impl Cut {
    /// Softening needed against chuck, by some parameters.
    pub const fn toughness(self, p: &Parameters) -> f64 {
        let p = &p.toughness;
        match self {
            C::Chuck => p.chuck,
            C::Blade => p.blade,
            C::Neck => p.neck,
            C::ShortRib => p.short_rib,
            C::PlateRib => p.plate_rib,
            C::RibFinger => p.rib_finger,
            C::BrisketFlat => p.brisket_flat,
            C::BrisketPoint => p.brisket_point,
            C::Brisket => p.brisket,
            C::CornedBrisket => p.corned_brisket,
            C::Shin | C::ShinBoneIn | C::Heel => p.shin,
            C::Cheek => p.cheek,
            C::Oxtail => p.oxtail,
            C::Tendon => p.tendon,
            C::Round | C::Topside | C::EyeRound => p.round,
            C::Silverside => p.silverside,
            C::Skirt | C::Flank => p.skirt,
            C::Sirloin => p.sirloin,
            C::StewingMix => p.mixed,
            C::Fillet | C::RibEye | C::Strip => p.tender_cut,
        }
    }

    /// Every cut, in the order they are listed to a cook.
    pub fn all() -> &'static [CutFacts] {
        &CUTS
    }

    /// What is known of this cut.
    pub fn facts(self) -> &'static CutFacts {
        // The table is in the order of the enum; a test holds it there.
        &CUTS[self as usize]
    }

    /// The cut a request names.
    ///
    /// # Errors
    /// Names the field and lists the cuts when there is none of that name.
    pub fn parse(field: &str, name: &str) -> Result<Self> {
        CUTS.iter().find(|facts| facts.key == name).map(|facts| facts.cut).ok_or_else(|| {
            let known = Message::list(CUTS.iter().map(|facts| Message::text(facts.key)), Join::Commas);
            Error::new(WhatIsWrong::Unknown, field, format!("{name:?}"), errors::one_of(known))
        })
    }

    /// The name this cut has in JSON, such as `short_rib`.
    pub fn key(self) -> &'static str {
        self.facts().key
    }

    /// The name on the block.
    pub fn label(self) -> Message {
        say::label(self.key())
    }

    /// Its name in the middle of a sentence.
    pub fn name(self) -> Message {
        say::name(self.key())
    }

    /// Whether it is sliced from the pit once a probe slides in, rather than at the firmer word for slices.
    pub fn is_for_the_pit(self) -> bool {
        matches!(self, Self::Brisket | Self::BrisketFlat | Self::BrisketPoint)
    }

    /// The reason a tender cut is refused, with what to do instead; `None` for the cuts of this job.
    pub fn refusal(self) -> Option<Message> {
        let facts = self.facts();
        (!facts.suitable).then(|| say::refusal(self.name(), Percent(facts.collagen_pct / 100.0)))
    }
}

impl CutFacts {
    /// What it is made of, to the physics.
    pub fn muscle(&self) -> Muscle {
        Muscle { fat_pct: self.fat_pct, collagen_pct: self.collagen_pct, usual_trim_pct: self.trim_pct }
    }
}

/// A cut as it is shown at the counter.
#[derive(Debug, Clone, Serialize, ToSchema)]
pub struct AtTheCounter {
    /// What is known of it.
    #[serde(flatten)]
    pub facts: CutFacts,
    /// The name on the block.
    pub name: String,
    /// Other names it is sold under.
    pub also: Vec<String>,
    /// How to tell it.
    pub tell: String,
    /// How fast it softens, beside chuck.
    pub softens: String,
    /// How easily it dries.
    pub dries: String,
    /// Why it is not for this job, if so.
    pub refused: Option<String>,
}

/// How fast a cut softens beside chuck.
fn softens(toughness: f64) -> Message {
    match toughness {
        r if (r - 1.0).abs() < 0.03 => say::softens_alike(),
        r if r > 1.0 => say::softens_slower(r),
        r => say::softens_sooner(1.0 / r),
    }
}

/// Every cut as it is shown at the counter, in the order they are listed to a cook.
pub fn at_the_counter(voice: Voice) -> Vec<AtTheCounter> {
    let shown = |facts: &CutFacts| AtTheCounter {
        facts: facts.clone(),
        name: voice.render(facts.cut.label()),
        also: voice.render(say::also(facts.key)).split("; ").map(str::to_owned).collect(),
        tell: voice.render(say::tell(facts.key)),
        softens: voice.render(softens(facts.toughness)),
        dries: voice.render(say::dries(facts.dry_risk.key())),
        refused: facts.cut.refusal().map(|why| voice.render(why)),
    };
    CUTS.iter().map(shown).collect()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_table_stands_in_the_order_of_the_enum() {
        for facts in Cut::all() {
            assert_eq!(facts.cut.facts().cut, facts.cut);
            assert_eq!(Cut::parse("cut", facts.cut.key()).unwrap(), facts.cut);
            assert_eq!(serde_json::to_value(facts.cut).unwrap(), facts.cut.key());
        }
    }

    #[test]
    fn every_muscle_has_its_other_names_and_a_sign() {
        let all = at_the_counter(Voice::default());
        for cut in &all {
            assert!(cut.also.len() >= 3 && cut.tell.ends_with('.'), "{}", cut.name);
            assert!(!cut.also.iter().any(|other| other.eq_ignore_ascii_case(&cut.name)), "{}", cut.name);
            assert!(cut.name != "Beef" && cut.tell != "Beef.", "{} has words of its own", cut.facts.key);
        }
        let under = |name: &str| all.iter().filter(|cut| cut.also.iter().any(|other| other == name)).count();
        assert_eq!((under("gravy beef"), under("rump roast")), (1, 2), "some names stand at two muscles");
    }

    #[test]
    fn tender_cuts_are_refused_with_a_reason() {
        assert!(Voice::default().render(Cut::Fillet.refusal().unwrap()).contains("no collagen"));
        assert!(Cut::Shin.refusal().is_none());
    }
}
