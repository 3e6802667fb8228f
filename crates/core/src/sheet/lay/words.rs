//! What each way is called at each step, where it takes place, and why.

use crate::forecast::{Case, Medium, Stage};
use crate::heat::pit::WrapMaterial;
use crate::sheet::tasks::Lane;

/// A lane with what to do there and why.
pub(super) type Step = (Lane, String, &'static str);

/// What has to get hot before the meat comes to it.
pub(super) fn preheat(medium: &Medium) -> Option<Step> {
    let hot = "it is hot when the pot goes in";
    match medium {
        Medium::Oven { set_c, .. } => Some((Lane::Oven, format!("Light the oven: {set_c:.0} °C"), hot)),
        Medium::Fat { fat_c } => Some((Lane::Oven, format!("Warm the fat to {fat_c:.0} °C"), "fat is slow to warm")),
        Medium::Coals(coals) => Some((
            Lane::Hob,
            format!("Light {} coals outdoors", coals.under + coals.over),
            "they go on when they are grey all over; light the next lot early",
        )),
        Medium::Pit { pit, .. } => Some((
            Lane::Pit,
            format!("Light the pit: {:.0} °C, a stick of hardwood", pit.set_c),
            "wait until it holds and the smoke runs thin and blue",
        )),
        Medium::Bath { bath_c } => {
            Some((Lane::Bath, format!("Fill and warm the bath: {bath_c:.0} °C"), "start it with hot water; cover it"))
        }
        _ => None,
    }
}

/// The last step at the bench before the meat meets the heat.
pub(super) fn into_it(medium: &Medium, seared: bool) -> (&'static str, &'static str) {
    match medium {
        Medium::Pit { .. } => ("Rub it and put a probe in the middle", "the salt is in already: the rub needs none"),
        Medium::Bath { .. } => (
            "Bag it flat, press the air out, seal it twice",
            "bones puncture bags: pad them; air makes it float, so weigh it down",
        ),
        Medium::Fat { .. } => ("Wipe the salt off and lay it in the melted fat, covered", "what sticks out dries"),
        _ if seared => (
            "Soften the aromatics in that fat, deglaze, scrape up the brown",
            "garlic last; wine down by half; then the hot liquid",
        ),
        _ => ("Soften the aromatics, pour in the liquid", "garlic last; wine down by half; then the hot liquid"),
    }
}

/// The moment from which the clock counts.
pub(super) fn meets_the_heat(case: &Case) -> Step {
    let litres = case.liquid_l;
    match &case.first().medium {
        Medium::Pressure { .. } => (
            Lane::PressurePot,
            format!("Meat in with its resting juices and {litres:.1} L of thin hot liquid; lid locked, vent closed"),
            "the clock starts here; it takes a while to come up, and cooks meanwhile",
        ),
        Medium::SlowCooker { .. } | Medium::KeepWarm { .. } => (
            Lane::Crock,
            format!("Meat into the crock with {litres:.1} L of liquid; lid on, switch it on"),
            "the clock starts here; hot liquid saves most of an hour",
        ),
        Medium::Fat { .. } => {
            (Lane::Oven, "Into the heat, the fat just trembling".into(), "the clock starts here; it must never fry")
        }
        Medium::Bath { .. } => {
            (Lane::Bath, "Lower the bag into the bath".into(), "the clock starts here; all of it under water")
        }
        Medium::Pit { .. } => {
            (Lane::Pit, "Meat into the pit".into(), "the clock starts here; shut it and leave it shut")
        }
        _ => (
            Lane::Hob,
            format!("Meat in with its resting juices and {litres:.1} L of hot liquid; bring it to a simmer"),
            "the clock starts here; skim the first foam",
        ),
    }
}

/// What goes on by itself.
pub(super) fn over_the_heat(stage: &Stage) -> Step {
    let lid = stage.pot.lid.words();
    match &stage.medium {
        Medium::Oven { set_c, .. } => (
            Lane::Oven,
            format!("Into the oven at {set_c:.0} °C, {lid}"),
            "even heat from all sides; the dial decides how much water leaves",
        ),
        Medium::Hob { simmer } => {
            (Lane::Hob, format!("On the hob, {lid}: {}", simmer.looks()), "simmer, don't boil: a boil breaks it up")
        }
        medium @ Medium::Coals(_) => (
            Lane::Hob,
            format!("{}, {lid}", medium.words()),
            "turn the pot a quarter and the lid back every 15 min; fresh coals before the old ones fade",
        ),
        Medium::Pressure { hold_s, quick, .. } => {
            let release = if *quick { "let the pressure off at once" } else { "let the pressure fall by itself" };
            let held = hold_s
                .filter(|s| s.is_finite())
                .map_or(String::new(), |s| format!(", {:.0} min at pressure", s / 60.0));
            (Lane::PressurePot, format!("Under pressure{held}; then {release}"), "coming up and letting go cook too")
        }
        medium @ (Medium::SlowCooker { .. } | Medium::KeepWarm { .. }) => {
            (Lane::Crock, capital(&medium.words()), "leave the lid on: each look costs twenty minutes")
        }
        Medium::Bath { bath_c } => {
            (Lane::Bath, format!("In the bath at {bath_c:.0} °C"), "top it up: a bath evaporates over a day")
        }
        Medium::Fat { fat_c } => (Lane::Oven, format!("Under fat at {fat_c:.0} °C"), "all of it stays under the fat"),
        Medium::Pit { pit, wrap } => {
            let wrapped = match wrap {
                None => String::new(),
                Some((WrapMaterial::Paper, at_c)) => format!("; into unwaxed paper at {at_c:.0} °C in the middle"),
                Some((WrapMaterial::Foil, at_c)) => format!("; into foil at {at_c:.0} °C in the middle"),
            };
            (
                Lane::Pit,
                format!("In the pit at {:.0} °C{wrapped}", pit.set_c),
                "it stalls for hours at 65 to 75 °C while its surface dries: that is no fault",
            )
        }
        Medium::Chill { .. } => (
            Lane::Cold,
            "Cooled fast in ice water, then in the fridge".into(),
            "to 21 °C within 2 h, to 5 °C within 4 h more",
        ),
        Medium::Reheat { to_c } => (
            Lane::Hob,
            format!("Warmed through gently in its liquid, to {to_c:.0} °C in the middle"),
            "lift the set fat off first",
        ),
    }
}

/// From one heat to the next.
pub(super) fn moved(from: &Stage, to: &Stage) -> (String, &'static str) {
    match (&from.medium, &to.medium) {
        (Medium::Pit { .. }, Medium::Bath { .. }) => {
            ("From the pit: bag it, seal it, into the bath".into(), "it has its smoke; the bath does the softening")
        }
        (_, Medium::Chill { .. }) => ("Off the heat: cool it shallow and fast".into(), "from 57 to 21 °C within 2 h"),
        (Medium::Chill { .. }, _) => {
            ("Out of the cold; lift the fat off; back to the heat".into(), "the fat comes off whole")
        }
        (from, to) if from.same_kind(to) => (format!("Change over: {}", to.words()), "the lid and the heat as said"),
        (_, to) => (format!("Move it: {}", to.words()), "quickly, so that it stays hot"),
    }
}

/// The first look and the later ones; none where the lid stays shut.
pub(super) fn look(case: &Case) -> Option<(&'static str, &'static str)> {
    match &case.stages.last().unwrap_or(case.first()).medium {
        Medium::Pressure { .. } | Medium::Chill { .. } | Medium::Reheat { .. } => None,
        Medium::Bath { .. } => Some(("First look: press it through the bag", "Look again: press it through the bag")),
        Medium::Pit { .. } => Some(("First look: slide a probe in", "Look again: slide a probe in")),
        Medium::Fat { .. } | Medium::SlowCooker { .. } | Medium::KeepWarm { .. } => {
            Some(("First look: fork it", "Look again: fork it"))
        }
        _ => Some(("First look: fork it, and see to the liquid", "Look again: fork it, and see to the liquid")),
    }
}

/// Waiting hot for the bell.
pub(super) fn hold(case: &Case) -> &'static str {
    match &case.stages.last().unwrap_or(case.first()).medium {
        Medium::Pit { .. } => "Tender early? Wrapped, in an oven or a dry box, kept hot",
        Medium::Bath { .. } => "Tender early? Turn the bath down to 65 °C and leave it in its bag",
        _ => "Tender early? Lid on, heat off or lowest, keep it hot",
    }
}

/// Out of the heat.
pub(super) fn lift(case: &Case) -> (&'static str, &'static str) {
    match &case.stages.last().unwrap_or(case.first()).medium {
        Medium::Pit { .. } => ("Take it out of the pit, still wrapped", "keep what runs from it"),
        Medium::Bath { .. } => ("Out of the bath; pour the bag's juice off, pat it dry", "the juice is the sauce"),
        Medium::Fat { .. } => ("Lift it out of the fat and let it drain", "under the fat stands its jelly: keep it"),
        Medium::Pressure { .. } => (
            "Open the lid when the pin has dropped; lift the meat onto a warm tray",
            "fork it first: firm still means lid on again",
        ),
        _ => ("Lift the meat out onto a warm tray, covered", "bones, bay and strings out; keep what runs from it"),
    }
}

/// Why it rests.
pub(super) fn rest(case: &Case) -> &'static str {
    match &case.stages.last().unwrap_or(case.first()).medium {
        Medium::Pit { .. } => "half an hour at least: it cuts cleaner and loses less on the board",
        _ => "15 to 20 minutes: it slices cleaner and keeps more of its juice",
    }
}

fn capital(words: &str) -> String {
    let words = words.trim_start_matches("a ");
    words.chars().take(1).flat_map(char::to_uppercase).chain(words.chars().skip(1)).collect()
}
