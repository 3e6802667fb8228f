//! The cuts: what a muscle is made of, and whether hours of moist heat do it any good.

mod eaten;

use ergastic_words::{Join, Percent, Said, Voice, cuts as say, errors};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::error::{Error, Kind, Result};

pub use eaten::EatenAs;

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

/// How fast a cut dries and falls apart once it is tender.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum DryRisk {
    /// Fat and gelatin keep it moist.
    Low,
    /// Some care.
    Mid,
    /// Lean: tough *and* easily dry.
    High,
}

/// What the computation needs to know of a cut. Percentages are of the raw mass.
///
/// Figures are working values, fitted to practice; published composition of beef cuts
/// scatters more widely than the rows differ.
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
    pub resistance: f64,
    /// Spread of the resistance from animal to animal, as a standard deviation of its logarithm.
    pub resistance_ln_sigma: f64,
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
    pub aspect: [f64; 2],
    /// Mass of one piece as it usually comes, kg.
    pub piece_kg: f64,
}

use Cut as C;
use DryRisk::{High, Low, Mid};
use EatenAs::{Fork, Slice, Spoon};

#[allow(clippy::too_many_arguments)] // one row of a table
const fn row(
    cut: Cut,
    key: &'static str,
    resistance: f64,
    percent: [f64; 4],
    dry_risk: DryRisk,
    eaten_as: EatenAs,
    aspect: [f64; 2],
    piece_kg: f64,
) -> CutFacts {
    CutFacts {
        cut,
        key,
        suitable: true,
        resistance,
        resistance_ln_sigma: RESISTANCE_LN_SIGMA,
        thickness_sigma: 0.07,
        collagen_pct: percent[0],
        fat_pct: percent[1],
        bone_pct: percent[2],
        trim_pct: percent[3],
        dry_risk,
        eaten_as,
        aspect,
        piece_kg,
    }
}

const fn tender(cut: Cut, key: &'static str, fat_pct: f64) -> CutFacts {
    let mut facts = row(cut, key, 0.5, [0.4, fat_pct, 0.0, 4.0], High, Slice, [1.6, 3.0], 1.2);
    facts.suitable = false;
    facts
}

const fn mixed() -> CutFacts {
    let mut facts = row(C::StewingMix, "stewing_mix", 1.0, [1.5, 10.0, 0.0, 2.0], Mid, Fork, [1.0, 1.2], 0.045);
    facts.resistance_ln_sigma = 0.35;
    facts.thickness_sigma = 0.25;
    facts
}

/// Every cut Ergastic knows. Columns: resistance · collagen, fat, bone, trim % · dry risk ·
/// eaten as · aspect · usual piece.
#[rustfmt::skip]
static CUTS: [CutFacts; 27] = [
    row(C::Chuck, "chuck", 1.0, [1.5, 15.0, 0.0, 6.0], Low, Fork, [1.7, 2.3], 1.4),
    row(C::Blade, "blade", 1.05, [1.8, 10.0, 0.0, 6.0], Low, Fork, [2.0, 3.0], 1.2),
    row(C::Neck, "neck", 1.1, [1.8, 10.0, 10.0, 6.0], Low, Fork, [1.5, 2.0], 1.2),
    row(C::ShortRib, "short_rib", 1.0, [1.8, 28.0, 30.0, 6.0], Low, Fork, [1.2, 2.0], 0.34),
    row(C::PlateRib, "plate_rib", 1.1, [1.8, 28.0, 25.0, 6.0], Low, EatenAs::Probe, [2.3, 4.6], 2.6),
    row(C::RibFinger, "rib_finger", 0.9, [1.8, 25.0, 0.0, 6.0], Low, Fork, [1.3, 6.0], 0.12),
    row(C::BrisketFlat, "brisket_flat", 1.2, [1.9, 8.0, 0.0, 10.0], Mid, Slice, [3.5, 6.0], 2.5),
    row(C::BrisketPoint, "brisket_point", 1.1, [1.9, 25.0, 0.0, 10.0], Low, Slice, [2.2, 3.0], 2.2),
    row(C::Brisket, "brisket", 1.15, [1.9, 18.0, 0.0, 10.0], Mid, Slice, [2.5, 4.0], 5.5),
    row(C::CornedBrisket, "corned_brisket", 1.15, [1.9, 12.0, 0.0, 10.0], Mid, Slice, [2.5, 3.7], 2.0),
    row(C::Shin, "shin", 1.35, [3.2, 5.0, 0.0, 5.0], Low, Fork, [1.7, 2.5], 0.95),
    row(C::ShinBoneIn, "shin_bone_in", 1.35, [3.2, 5.0, 35.0, 5.0], Low, Fork, [2.5, 3.0], 0.45),
    row(C::Heel, "heel", 1.35, [3.2, 5.0, 0.0, 5.0], Low, Fork, [1.5, 2.2], 0.9),
    row(C::Cheek, "cheek", 1.4, [3.2, 8.0, 0.0, 12.0], Low, Spoon, [1.6, 2.4], 0.45),
    row(C::Oxtail, "oxtail", 1.35, [3.5, 28.0, 45.0, 3.0], Low, Fork, [1.3, 1.6], 0.15),
    row(C::Tendon, "tendon", 2.2, [25.0, 2.0, 0.0, 0.0], Low, Spoon, [1.3, 6.0], 0.15),
    row(C::Round, "round", 1.0, [1.0, 5.0, 0.0, 4.0], High, Slice, [1.5, 2.2], 1.6),
    row(C::Topside, "topside", 1.0, [1.0, 5.0, 0.0, 4.0], High, Slice, [1.5, 2.2], 1.6),
    row(C::Silverside, "silverside", 1.0, [1.0, 5.0, 0.0, 4.0], High, Slice, [1.6, 2.5], 1.8),
    row(C::EyeRound, "eye_round", 1.0, [1.0, 5.0, 0.0, 4.0], High, Slice, [1.0, 2.8], 1.2),
    row(C::Skirt, "skirt", 0.9, [1.0, 8.0, 0.0, 5.0], Mid, Fork, [3.0, 6.0], 0.6),
    row(C::Flank, "flank", 0.9, [1.0, 8.0, 0.0, 5.0], Mid, Fork, [5.0, 8.0], 0.8),
    row(C::Sirloin, "sirloin", 0.6, [0.7, 7.0, 0.0, 5.0], High, Fork, [1.5, 2.2], 1.2),
    mixed(),
    tender(C::Fillet, "fillet", 5.0),
    tender(C::RibEye, "rib_eye", 25.0),
    tender(C::Strip, "strip", 15.0),
];

impl Cut {
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
            let known = Said::list(CUTS.iter().map(|facts| Said::text(facts.key)), Join::Commas);
            Error::new(Kind::Unknown, field, format!("{name:?}"), errors::one_of(known))
        })
    }

    /// The name this cut has in JSON, such as `short_rib`.
    pub fn key(self) -> &'static str {
        self.facts().key
    }

    /// The name on the block.
    pub fn label(self) -> Said {
        say::label(self.key())
    }

    /// Its name in the middle of a sentence.
    pub fn name(self) -> Said {
        say::name(self.key())
    }

    /// Whether it is sliced from the pit once a probe slides in, rather than at the firmer word for slices.
    pub fn is_for_the_pit(self) -> bool {
        matches!(self, Self::Brisket | Self::BrisketFlat | Self::BrisketPoint)
    }

    /// The reason a tender cut is refused, with what to do instead; `None` for the cuts of this job.
    pub fn refusal(self) -> Option<Said> {
        let facts = self.facts();
        (!facts.suitable).then(|| say::refusal(self.name(), Percent(facts.collagen_pct / 100.0)))
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
}

/// Every cut as it is shown at the counter, in the order they are listed to a cook.
pub fn at_the_counter(voice: Voice) -> Vec<AtTheCounter> {
    let shown = |facts: &CutFacts| AtTheCounter {
        facts: facts.clone(),
        name: voice.say(facts.cut.label()),
        also: voice.say(say::also(facts.key)).split("; ").map(str::to_owned).collect(),
        tell: voice.say(say::tell(facts.key)),
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
        assert!(Voice::default().say(Cut::Fillet.refusal().unwrap()).contains("no collagen"));
        assert!(Cut::Shin.refusal().is_none());
    }
}
