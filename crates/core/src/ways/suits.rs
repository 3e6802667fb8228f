//! Which cut does not go which way, and why: the same sentence in every place.

use ergastic_words::{Message, matching as say};

use super::method::Method;
use crate::cuts::{Cut, CutFacts, EatenAs};

/// Whether slices can be cut from it at all: pieces on the bone, small ones and sinew have none to give.
pub fn slices(cut: Cut) -> bool {
    !matches!(cut, Cut::Oxtail | Cut::StewingMix | Cut::RibFinger | Cut::Tendon | Cut::ShinBoneIn | Cut::ShortRib)
}

/// Why a cut does not go this way, if it does not.
pub fn against(facts: &CutFacts, method: Method, eaten_as: EatenAs, cubed: bool) -> Option<Message> {
    let cut = facts.cut;
    let holds = matches!(eaten_as, EatenAs::Slice | EatenAs::Probe);
    // In a pit the probe tells of ribs too, which nobody slices.
    if holds && !slices(cut) && !(eaten_as == EatenAs::Probe && method == Method::Smoke && cut == Cut::ShortRib) {
        return Some(say::no_slices_to_give(cut.name()));
    }
    if holds && (cubed || method == Method::Stew) {
        return Some(say::cubes_are_not_slices());
    }
    if cut == Cut::Tendon && eaten_as == EatenAs::Pull {
        return Some(say::tendon_has_no_fibres());
    }
    method.usual().against(cut, eaten_as)
}

#[cfg(test)]
mod tests {
    use super::*;
    use ergastic_words::Voice;

    #[test]
    fn cuts_go_their_ways() {
        let voice = Voice::default();
        let against = |cut: Cut, method, eaten_as, cubed| {
            against(cut.facts(), method, eaten_as, cubed).map(|said| voice.render(said))
        };
        assert!(against(Cut::Oxtail, Method::Braise, EatenAs::Slice, false).unwrap().contains("no slices"));
        assert!(against(Cut::Chuck, Method::Stew, EatenAs::Slice, true).unwrap().contains("Cubes"));
        assert!(against(Cut::Chuck, Method::Braise, EatenAs::Slice, false).is_none());
        assert!(against(Cut::Tendon, Method::Smoke, EatenAs::Spoon, false).unwrap().contains("leather"));
        assert!(against(Cut::PlateRib, Method::Smoke, EatenAs::Probe, false).is_none());
    }
}
