//! What may be done to the liquid on its way to the sauce, one thing at a time.

use serde::{Deserialize, Deserializer, Serialize};
use utoipa::ToSchema;

use super::choices::{Skim, Thickener};
use crate::bench::Larder;
use crate::error::{Result, Unit, in_range};
use crate::json::{ByKind, tagged};

/// Through a sieve, and what then becomes of the vegetables that cooked in it.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Strain {
    /// Run through a sieve by itself: clear; what clings to the vegetables goes with them.
    Run,
    /// Pressed through: cloudier, and next to nothing lost.
    Press,
}

/// One thing that is done to the liquid.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
pub enum Move {
    /// Fat comes off.
    Skim {
        /// How.
        with: Skim,
    },
    /// The vegetables come out.
    Strain {
        /// How.
        how: Strain,
    },
    /// Boiled down without a lid.
    Reduce {
        /// To so much, L; no further than salt allows.
        #[schema(minimum = 0.02, maximum = 60)]
        to_l: f64,
        /// With the meat in it, which then goes on cooking; out of it where not said.
        meat_in: bool,
    },
    /// Taken out, thin, to be kept.
    SetAside {
        /// So much, L.
        #[schema(minimum = 0.01, maximum = 60)]
        litres: f64,
    },
    /// Thickened.
    Thicken {
        /// With this.
        with: Thickener,
        /// Until it has this body: 1 coats a spoon, 2 is a gravy, 3 a glaze.
        #[schema(minimum = 0.1, maximum = 3)]
        to_body: f64,
    },
    /// Something from the larder goes in: water or unsalted stock to let it down, butter or cream to round it, sugar, vinegar, mustard.
    PourIn {
        /// What.
        what: Larder,
        /// So much, g.
        #[schema(minimum = 0.1, maximum = 20000)]
        grams: f64,
    },
    /// Salt goes in.
    Salt {
        /// So much, g.
        #[schema(minimum = 0.1, maximum = 500)]
        grams: f64,
    },
    /// It was measured: from here on it is so, whatever was reckoned.
    Measured {
        /// Liquid without its fat, L.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        #[schema(minimum = 0.02, maximum = 60)]
        liquid_l: Option<f64>,
        /// Fat on it, mm deep.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        #[schema(minimum = 0, maximum = 100)]
        fat_mm: Option<f64>,
    },
}

/// How [`Move`] is read once its kind is known; the compiler holds the two alike.
#[derive(Deserialize)]
#[serde(remote = "Move", rename_all = "snake_case", deny_unknown_fields)]
enum MoveOfKind {
    Skim {
        with: Skim,
    },
    Strain {
        how: Strain,
    },
    Reduce {
        to_l: f64,
        #[serde(default)]
        meat_in: bool,
    },
    SetAside {
        litres: f64,
    },
    Thicken {
        with: Thickener,
        to_body: f64,
    },
    PourIn {
        what: Larder,
        grams: f64,
    },
    Salt {
        grams: f64,
    },
    Measured {
        liquid_l: Option<f64>,
        fat_mm: Option<f64>,
    },
}

impl ByKind for Move {
    fn by_kind<'de, D: Deserializer<'de>>(deserializer: D) -> std::result::Result<Self, D::Error> {
        MoveOfKind::deserialize(deserializer)
    }
}

impl<'de> Deserialize<'de> for Move {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> std::result::Result<Self, D::Error> {
        tagged(deserializer)
    }
}

impl Move {
    /// Checks what was sent.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn check(&self) -> Result<()> {
        match *self {
            Self::Skim { .. } | Self::Strain { .. } => Ok(()),
            Self::Reduce { to_l, .. } => in_range("to_l", to_l, 0.02, 60.0, Unit::Litres).map(drop),
            Self::SetAside { litres } => in_range("litres", litres, 0.01, 60.0, Unit::Litres).map(drop),
            Self::Thicken { to_body, .. } => in_range("to_body", to_body, 0.1, 3.0, Unit::None).map(drop),
            Self::PourIn { grams, .. } => in_range("grams", grams, 0.1, 20_000.0, Unit::Grams).map(drop),
            Self::Salt { grams } => in_range("grams", grams, 0.1, 500.0, Unit::Grams).map(drop),
            Self::Measured { liquid_l, fat_mm } => {
                liquid_l.map_or(Ok(()), |l| in_range("liquid_l", l, 0.02, 60.0, Unit::Litres).map(drop))?;
                fat_mm.map_or(Ok(()), |mm| in_range("fat_mm", mm, 0.0, 100.0, Unit::Millimetres).map(drop))
            }
        }
    }
}

/// Moves that are taken at most, of those done and those to do.
pub(crate) const MAX_MOVES: usize = 200;

/// No more moves than anyone makes, and each of them possible.
pub(crate) fn check_moves(field: &'static str, moves: &[Move]) -> Result<()> {
    in_range(field, moves.len() as f64, 0.0, MAX_MOVES as f64, Unit::None)?;
    for (i, one) in moves.iter().enumerate() {
        one.check().map_err(|error| error.within(&format!("{field}[{i}]")))?;
    }
    Ok(())
}
