//! The sentence why, and what each medium is called.

use crate::ways::pit::InThePit;
use ergastic_words::{Join, Length, Message, RoughMinutes, forecast as say, ways};

use super::answer::Quantiles;
use super::pressed::PressureMinutes;
use super::resolve::ResolvedDish;
use crate::cuts::{CutFacts, DryRisk, EatenAs};
use crate::heat::pot::Lid;
use ergastic_physics::pressure::MIN_LITRES;
use ergastic_physics::record::Frame;

/// What kind of muscle it is, by its collagen.
fn make(facts: &CutFacts) -> &'static str {
    match facts.collagen_pct {
        c if c >= 3.0 => "sinewy",
        c if c >= 1.4 => "worked",
        _ => "lean",
    }
}

/// Why it takes this long, from this case's own numbers.
pub fn why(
    case: &ResolvedDish,
    ready: &Quantiles,
    at_ready: Option<&Frame>,
    pressure: Option<&PressureMinutes>,
) -> Message {
    let minutes = pressure.map(|minutes| Message::text(minutes.text.clone()));
    let main = case.main();
    let first = &case.first().medium;
    let cooks = match (first.facts().locked, case.stages.as_slice()) {
        (true, [_]) if case.liquid_l < MIN_LITRES => ways::pressure_comes_late(),
        (_, [_]) => first.way().sentence(case.boil_c, at_ready.map(|frame| frame.medium_c)),
        (_, stages) => ways::chain(Message::list(stages.iter().map(|stage| stage.medium.way().name()), Join::Then)),
    };
    let (name, make) = (main.name(), make(main.facts));
    let Some(p50) = ready.p50 else {
        let never = if case.fixed_end() { say::why_never_in_that_time } else { say::why_never };
        return Message::list([Some(never(name, make, cooks)), minutes].into_iter().flatten(), Join::Space);
    };
    let thick = Length(main.sides_m[0] * 1000.0);
    let sentence = say::why(name, make, cooks, thick, main.eaten_as.done(), RoughMinutes(p50));
    Message::list([Some(sentence), minutes, price(case)].into_iter().flatten(), Join::Space)
}

/// What this way costs with this meat, where it costs something.
fn price(case: &ResolvedDish) -> Option<Message> {
    let (main, first) = (case.main(), &case.first().medium);
    if case.stages.iter().any(|stage| stage.medium.rolls()) {
        Some(say::price_of_boiling())
    } else if first.get::<InThePit>().is_some_and(|pit| pit.wrap.is_none()) {
        Some(say::price_of_bare())
    } else if main.facts.dry_risk == DryRisk::High {
        let sliced = matches!(main.eaten_as, EatenAs::Slice | EatenAs::Probe);
        Some(if sliced { say::price_of_lean_sliced() } else { say::price_of_lean() })
    } else if first.is_pot() && case.pot().lid == Lid::None && first.facts().lid != Lid::None {
        Some(say::price_of_no_lid())
    } else {
        None
    }
}
