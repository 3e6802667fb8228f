//! Which cut goes which way, and what to mind.

use ergastic_words::{Message, Voice, matching as say};

use crate::cuts::Shape;
use crate::cuts::{Cut, CutFacts, DryRisk, EatenAs};
use crate::safety::Caution;
use crate::ways::{self, Method};

pub use crate::ways::slices;

/// From this share of bone on a piece is not cut into cubes, %.
const BONY_PCT: f64 = 20.0;

/// Whether it can be cut into cubes.
pub fn cubes(bone_pct: f64) -> bool {
    bone_pct < BONY_PCT
}

/// Why a cut does not go this way in this shape, if it does not.
pub fn against(facts: &CutFacts, method: Method, eaten_as: EatenAs, shape: Shape) -> Option<Message> {
    ways::against(facts, method, eaten_as, shape == Shape::Cubed)
}

/// What to mind with this meat whatever the way, with the remedy.
pub fn warnings(facts: &CutFacts, eaten_as: EatenAs, voice: Voice) -> Vec<Caution> {
    let mut warnings = Vec::new();
    if facts.dry_risk == DryRisk::High {
        let soft = matches!(eaten_as, EatenAs::Pull | EatenAs::Spoon);
        let said = if soft { say::lean_soft(facts.cut.name()) } else { say::lean_sliced(facts.cut.name()) };
        warnings.push(Caution::new("lean", said, voice));
    }
    if facts.cut == Cut::StewingMix {
        warnings.push(Caution::new("mixed_muscles", say::mixed_muscles(), voice));
    }
    if facts.cut == Cut::CornedBrisket {
        warnings.push(Caution::new("corned", say::corned(), voice));
    }
    warnings
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn lean_and_mixed_meat_is_warned_of_with_the_remedy() {
        let voice = Voice::default();
        let warned = |cut: Cut, eaten_as| warnings(cut.facts(), eaten_as, voice);
        assert!(warned(Cut::Topside, EatenAs::Pull)[0].text.contains("stringy"));
        assert!(warned(Cut::Topside, EatenAs::Slice)[0].text.contains("across the grain"));
        assert_eq!(warned(Cut::StewingMix, EatenAs::Fork)[0].id, "mixed_muscles");
        assert!(warned(Cut::Shin, EatenAs::Fork).is_empty());
    }
}
