//! Which cut goes which way, and what to mind.

use ergastic_words::{Said, Voice, matching as say};

use super::shape::Shape;
use crate::cuts::{Cut, CutFacts, DryRisk, EatenAs};
use crate::safety::Caution;
use crate::ways::Method;

/// From this share of bone on a piece is not cut into cubes, %.
const BONY_PCT: f64 = 20.0;

/// Whether slices can be cut from it at all: pieces on the bone, small ones and sinew have none to give.
pub fn slices(cut: Cut) -> bool {
    !matches!(cut, Cut::Oxtail | Cut::StewingMix | Cut::RibFinger | Cut::Tendon | Cut::ShinBoneIn | Cut::ShortRib)
}

/// Whether it can be cut into cubes.
pub fn cubes(bone_pct: f64) -> bool {
    bone_pct < BONY_PCT
}

/// Why a cut does not go this way, if it does not.
pub fn against(facts: &CutFacts, method: Method, eaten_as: EatenAs, shape: Shape) -> Option<Said> {
    let cut = facts.cut;
    let holds = matches!(eaten_as, EatenAs::Slice | EatenAs::Probe);
    if holds && !slices(cut) {
        return Some(say::no_slices_to_give(cut.name()));
    }
    if holds && (shape == Shape::Cubed || method == Method::Stew) {
        return Some(say::cubes_are_not_slices());
    }
    if cut == Cut::Tendon && eaten_as == EatenAs::Pull {
        return Some(say::tendon_has_no_fibres());
    }
    match (method, cut) {
        (Method::Smoke, Cut::Tendon) => Some(say::tendon_in_the_pit()),
        (Method::Smoke, Cut::StewingMix | Cut::Sirloin) => Some(say::dries_in_the_pit(cut.name())),
        _ => None,
    }
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
    fn cuts_go_their_ways() {
        let voice = Voice::default();
        let against = |cut: Cut, method, eaten_as, shape| {
            against(cut.facts(), method, eaten_as, shape).map(|said| voice.say(said))
        };
        assert!(against(Cut::Oxtail, Method::Braise, EatenAs::Slice, Shape::Whole).unwrap().contains("no slices"));
        assert!(against(Cut::Chuck, Method::Stew, EatenAs::Slice, Shape::Cubed).unwrap().contains("Cubes"));
        assert!(against(Cut::Chuck, Method::Braise, EatenAs::Slice, Shape::Whole).is_none());
        assert!(against(Cut::Tendon, Method::Smoke, EatenAs::Spoon, Shape::Whole).unwrap().contains("leather"));
        assert!(against(Cut::PlateRib, Method::Smoke, EatenAs::Probe, Shape::Whole).is_none());
        let warned = |cut: Cut, eaten_as| warnings(cut.facts(), eaten_as, voice);
        assert!(warned(Cut::Topside, EatenAs::Pull)[0].text.contains("stringy"));
        assert!(warned(Cut::Topside, EatenAs::Slice)[0].text.contains("across the grain"));
        assert_eq!(warned(Cut::StewingMix, EatenAs::Fork)[0].id, "mixed_muscles");
        assert!(warned(Cut::Shin, EatenAs::Fork).is_empty());
    }
}
