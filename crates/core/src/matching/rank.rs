//! What comes first, and what a variant trades against the best of its way.

use std::cmp::Ordering;

use jiff::Timestamp;

use super::answer::{Choice, Shape, Verdict};
use super::request::Sort;
use crate::clock::minutes_between;
use crate::cuts::Cut;
use crate::forecast::{HeatSource, Method, span};
use crate::tender::EatenAs;

/// Minutes from starting to plates for half of such pieces; infinite where they never are tender.
fn total_min(choice: &Choice) -> f64 {
    choice.lead_min + choice.ready_min.p50.unwrap_or(f64::INFINITY) + choice.finishing_min
}

/// What is compared under a rule: less comes first.
fn key(choice: &Choice, sort: Sort) -> [f64; 2] {
    // Chances that differ by less than a cook could tell count as equal.
    let unsure = -(choice.chance_ready * 20.0).round();
    let tender_min = choice.ready_min.p50.unwrap_or(f64::INFINITY);
    let plates_at = minutes_between(Timestamp::UNIX_EPOCH, choice.met_heat_at) + tender_min + choice.finishing_min;
    match sort {
        Sort::Surest => [unsure, f64::from(u8::from(choice.method != usual(choice)))],
        Sort::Soonest => [plates_at, choice.hands_on_min],
        Sort::LeastWork => [choice.hands_on_min, unsure],
        Sort::MostJuice => [-choice.yield_kg, choice.hands_on_min],
        Sort::RichestSauce => [-choice.body_pct * f64::from(u8::from(choice.sauce_l > 0.0)), choice.hands_on_min],
        Sort::Cheapest => {
            let fuel = choice.fuel.kwh + 8.0 * choice.fuel.solid_kg;
            // Without a price, more on the plate of the same meat is cheaper.
            [choice.cost_per_portion.map_or(-choice.yield_kg, |cost| (cost * 50.0).round()), fuel]
        }
    }
}

/// The order of two choices under a rule: those that fit first, then those that ask nothing of sleeping hands.
pub fn order(a: &Choice, b: &Choice, sort: Sort) -> Ordering {
    let clash = |choice: &Choice| !choice.clashes.is_empty();
    let [a1, a2] = key(a, sort);
    let [b1, b2] = key(b, sort);
    (a.verdict.cmp(&b.verdict))
        .then_with(|| clash(a).cmp(&clash(b)))
        .then_with(|| late(a, b))
        .then_with(|| a1.total_cmp(&b1))
        .then_with(|| a2.total_cmp(&b2))
        .then_with(|| easier(a, b))
        .then_with(|| a.id.cmp(&b.id))
}

/// All else being equal: less work by the quarter hour, then in one piece, then without a flame to watch.
fn easier(a: &Choice, b: &Choice) -> Ordering {
    let quarters = |choice: &Choice| (choice.hands_on_min / 15.0).round();
    let half_hours = |choice: &Choice| (total_min(choice) / 30.0).round();
    let watched = |choice: &Choice| matches!(choice.heat.source, Some(HeatSource::Hob | HeatSource::Coals));
    (quarters(a).total_cmp(&quarters(b)))
        .then_with(|| a.shape.cmp(&b.shape))
        .then_with(|| watched(a).cmp(&watched(b)))
        .then_with(|| (a.hands_on_min / 5.0).round().total_cmp(&(b.hands_on_min / 5.0).round()))
        .then_with(|| half_hours(a).total_cmp(&half_hours(b)))
}

/// The way a cut is most at home in: the pit for what is sliced from it, a stew for what comes cut up, else a braise.
fn usual(choice: &Choice) -> Method {
    let forecast = &choice.plan.forecast;
    match (forecast.cut, forecast.eaten_as) {
        (Some(Cut::PlateRib), _) => Method::Smoke,
        (Some(cut), Some(EatenAs::Probe)) if cut.is_for_the_pit() => Method::Smoke,
        (Some(Cut::StewingMix | Cut::Skirt | Cut::Sirloin | Cut::RibFinger), _) => Method::Stew,
        _ => Method::Braise,
    }
}

/// Among those that are too late, the likelier first whatever the rule.
fn late(a: &Choice, b: &Choice) -> Ordering {
    if a.verdict == Verdict::TooLate { total_min(a).total_cmp(&total_min(b)) } else { Ordering::Equal }
}

/// What a variant trades against the best of its way.
pub fn trade(best: &Choice, other: &Choice) -> String {
    let mut words = Vec::new();
    let (ours, theirs) = (total_min(best), total_min(other));
    if theirs.is_infinite() {
        words.push("never tender".to_owned());
    } else if (theirs - ours).abs() >= 7.5 && ours.is_finite() {
        let way = if theirs < ours { "sooner" } else { "longer" };
        words.push(format!("{} {way}", span((theirs - ours).abs())));
    }
    let eaten_as = other.plan.forecast.eaten_as;
    if other.shape != best.shape {
        words.extend(match other.shape {
            Shape::Cubed => Some("no slices".to_owned()),
            Shape::Halved if matches!(eaten_as, Some(EatenAs::Slice | EatenAs::Probe)) => Some("shorter slices".into()),
            Shape::Halved => Some("more pieces to brown".into()),
            Shape::Whole => Some("in one piece, so it can be carved".into()),
        });
    }
    let work = other.hands_on_min - best.hands_on_min;
    if work.abs() >= 7.5 {
        words.push(format!("{} {} at work", span(work.abs()), if work > 0.0 { "more" } else { "less" }));
    }
    let grams = (other.yield_kg - best.yield_kg) * 1000.0;
    if grams.abs() >= 30.0 && grams.abs() >= 0.02 * best.yield_kg * 1000.0 {
        let way = if grams > 0.0 { "more" } else { "less" };
        words.push(format!("{:.0} g {way} to eat", (grams.abs() / 10.0).round() * 10.0));
    }
    if other.bark != best.bark {
        words.push(if other.bark { "a bark, and no sauce" } else { "a sauce, and no bark" }.into());
    }
    let wrapped = |choice: &Choice| choice.heat.wrap.is_some();
    if best.bark && other.bark && wrapped(best) != wrapped(other) {
        words.push(if wrapped(other) { "a softer bark" } else { "a harder bark, a longer stall" }.into());
    }
    let hotter = other.heat.set_c.unwrap_or(0.0) - best.heat.set_c.unwrap_or(0.0);
    if hotter >= 15.0 && best.heat.set_c.is_some() {
        words.push("more water leaves: look and top up".into());
    } else if hotter <= -15.0 && other.heat.set_c.is_some_and(|set_c| set_c <= 105.0) {
        words.push("it may be left alone for longer".into());
    }
    if let Some(clash) = other.clashes.first().filter(|_| best.clashes.is_empty()) {
        words.push(clash.trim_end_matches('.').to_lowercase());
    }
    if words.is_empty() { "much the same".into() } else { words.join("; ") }
}
