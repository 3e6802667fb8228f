//! Which cut goes which way, and what to mind.

use super::answer::Shape;
use crate::cuts::{Cut, CutFacts, DryRisk};
use crate::forecast::Method;
use crate::safety::Caution;
use crate::tender::EatenAs;

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
pub fn against(facts: &CutFacts, method: Method, eaten_as: EatenAs, shape: Shape) -> Option<String> {
    let name = facts.name.split(',').next().unwrap_or(facts.name);
    let holds = matches!(eaten_as, EatenAs::Slice | EatenAs::Probe);
    if holds && !slices(facts.cut) {
        return Some(format!(
            "{name} has no slices to give: it comes in small pieces or round a bone. Eat it under a fork, pulled or by the spoon."
        ));
    }
    if holds && (shape == Shape::Cubed || method == Method::Stew) {
        return Some("Cubes are not slices: cook it in one piece for that, or eat it under a fork.".into());
    }
    if facts.cut == Cut::Tendon && eaten_as == EatenAs::Pull {
        return Some("Tendon has no fibres to pull: it is eaten soft, by the spoon.".into());
    }
    if method == Method::Smoke {
        match facts.cut {
            Cut::Tendon => {
                return Some("Tendon turns to leather in the dry heat of a pit: it wants hours in liquid.".into());
            }
            Cut::StewingMix | Cut::Sirloin => {
                return Some(format!(
                    "{name} dries through in the pit before it softens: small and lean, it wants liquid round it."
                ));
            }
            _ => {}
        }
    }
    None
}

/// What to mind with this meat whatever the way, with the remedy.
pub fn warnings(facts: &CutFacts, eaten_as: EatenAs) -> Vec<Caution> {
    let name = facts.name.split(',').next().unwrap_or(facts.name);
    let mut warnings = Vec::new();
    if facts.dry_risk == DryRisk::High {
        let soft = matches!(eaten_as, EatenAs::Pull | EatenAs::Spoon);
        let remedy = if soft {
            "As soft as that it goes stringy: slice it instead, or give it a third of shin or short rib for company."
        } else {
            "Take it out as soon as it slices, cut it thin across the grain, and serve it lying in its sauce."
        };
        warnings
            .push(Caution::new("lean", format!("{name} is lean: tough, and dry soon after it is tender. {remedy}")));
    }
    if facts.cut == Cut::StewingMix {
        warnings.push(Caution::new(
            "mixed_muscles",
            "Ready-cut stewing meat is several muscles of several sizes: some pieces are ready long before others, so the band \
             is wide. Buy one muscle and cut it yourself, or fork three pieces and go by the firmest.",
        ));
    }
    if facts.cut == Cut::CornedBrisket {
        warnings.push(Caution::new(
            "corned",
            "It is salt all through: simmer it in plain water, salt nothing, and taste before you reduce.",
        ));
    }
    warnings
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn cuts_go_their_ways() {
        let against = |cut: Cut, method, eaten_as, shape| against(cut.facts(), method, eaten_as, shape);
        assert!(against(Cut::Oxtail, Method::Braise, EatenAs::Slice, Shape::Whole).unwrap().contains("no slices"));
        assert!(against(Cut::Chuck, Method::Stew, EatenAs::Slice, Shape::Cubed).unwrap().contains("Cubes"));
        assert!(against(Cut::Chuck, Method::Braise, EatenAs::Slice, Shape::Whole).is_none());
        assert!(against(Cut::Tendon, Method::Smoke, EatenAs::Spoon, Shape::Whole).unwrap().contains("leather"));
        assert!(against(Cut::PlateRib, Method::Smoke, EatenAs::Probe, Shape::Whole).is_none());
        let warned = |cut: Cut, eaten_as| warnings(cut.facts(), eaten_as);
        assert!(warned(Cut::Topside, EatenAs::Pull)[0].text.contains("stringy"));
        assert!(warned(Cut::Topside, EatenAs::Slice)[0].text.contains("across the grain"));
        assert_eq!(warned(Cut::StewingMix, EatenAs::Fork)[0].id, "mixed_muscles");
        assert!(warned(Cut::Shin, EatenAs::Fork).is_empty());
    }
}
