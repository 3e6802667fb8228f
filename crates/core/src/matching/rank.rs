//! What comes first, and what a variant trades against the best of its way.

use std::cmp::Ordering;

use jiff::Timestamp;

use ergastic_words::{Join, Mass, Message, RoughMinutes, Voice, matching as say};

use super::answer::{Choice, Verdict};
use super::request::Sort;
use crate::clock::minutes_between;
use crate::cuts::Shape;
use crate::cuts::{Cut, EatenAs};
use crate::ways::{HeatSource, Method};
use ergastic_physics::units::round_to;

/// Minutes from starting to plates for half of such pieces; infinite where they never are tender.
pub fn total_min(choice: &Choice) -> f64 {
    choice.lead_min + choice.ready_min.p50.unwrap_or(f64::INFINITY) + choice.finishing_min
}

/// What is compared under a rule: less comes first.
fn key(choice: &Choice, sort: Sort) -> [f64; 2] {
    // Chances that differ by less than a cook could tell count as equal.
    let unsure = -(choice.chance_ready * 20.0).round();
    let tender_min = choice.ready_min.p50.unwrap_or(f64::INFINITY);
    let served_at = minutes_between(Timestamp::UNIX_EPOCH, choice.heat_on_at) + tender_min + choice.finishing_min;
    match sort {
        Sort::Surest => [unsure, f64::from(u8::from(choice.method != usual(choice)))],
        Sort::Soonest => [served_at, choice.hands_on_min],
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
        // What fits is not hurried further than it must be.
        .then_with(|| a.gives_up.cmp(&b.gives_up))
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
pub fn trade(best: &Choice, other: &Choice, voice: Voice) -> String {
    let mut said: Vec<Message> = Vec::new();
    let (ours, theirs) = (total_min(best), total_min(other));
    if theirs.is_infinite() {
        said.push(say::never_tender());
    } else if (theirs - ours).abs() >= 7.5 && ours.is_finite() {
        said.push(if theirs < ours {
            say::sooner(RoughMinutes(ours - theirs))
        } else {
            say::longer(RoughMinutes(theirs - ours))
        });
    }
    if other.shape != best.shape {
        said.push(shape(other));
    }
    let work = other.hands_on_min - best.hands_on_min;
    if work.abs() >= 7.5 {
        said.push(if work > 0.0 { say::more_work(RoughMinutes(work)) } else { say::less_work(RoughMinutes(-work)) });
    }
    let more_kg = other.yield_kg - best.yield_kg;
    if more_kg.abs() >= 0.03 && more_kg.abs() >= 0.02 * best.yield_kg {
        said.push(if more_kg > 0.0 {
            say::more_to_eat(Mass(round_to(more_kg, 0.01)))
        } else {
            say::less_to_eat(Mass(round_to(-more_kg, 0.01)))
        });
    }
    if other.bark != best.bark {
        said.push(if other.bark { say::bark_no_sauce() } else { say::sauce_no_bark() });
    }
    let wrapped = |choice: &Choice| choice.heat.wrap.is_some();
    if best.bark && other.bark && wrapped(best) != wrapped(other) {
        said.push(if wrapped(other) { say::softer_bark() } else { say::harder_bark() });
    }
    let hotter = other.heat.set_c.unwrap_or(0.0) - best.heat.set_c.unwrap_or(0.0);
    if hotter >= 15.0 && best.heat.set_c.is_some() {
        said.push(say::more_water_leaves());
    } else if hotter <= -15.0 && other.heat.set_c.is_some_and(|set_c| set_c <= 105.0) {
        said.push(say::may_be_left());
    }
    if best.clashes.is_empty() && !other.clashes.is_empty() {
        said.push(say::clashes());
    }
    voice.render(if said.is_empty() { say::much_the_same() } else { Message::list(said, Join::Semicolons) })
}

/// What another shape means at the table or the pan.
fn shape(other: &Choice) -> Message {
    let sliced = matches!(other.plan.forecast.eaten_as, Some(EatenAs::Slice | EatenAs::Probe));
    match other.shape {
        Shape::Cubed => say::no_slices(),
        Shape::Halved if sliced => say::shorter_slices(),
        Shape::Halved => say::more_to_brown(),
        Shape::Whole => say::in_one_piece(),
    }
}
