//! A pressure pot in two goes: opened, what would be mush goes in, and it is closed again or finished open.

use crate::bench::{Addition, Prepare};
use crate::forecast::ResolvedDish;
use crate::prepare::softens_by;
use crate::ways::pressure::Pressure;

/// A hot pot comes up again so soon, and lets go at once so soon, min. Practice.
const UP_AGAIN_MIN: f64 = 6.0;
const LET_OFF_MIN: f64 = 3.0;
/// Opening it and putting things in, min.
const ADD_MIN: f64 = 3.0;
/// What softens this soon at a simmer is not worth closing it again for, min.
const SOON_MIN: f64 = 10.0;

/// What is done between opening the pot and lifting the meat.
#[derive(Debug, Clone, PartialEq)]
pub struct Opened {
    /// What goes under pressure again, and its minutes there.
    pub closed: Option<(Vec<Addition>, f64)>,
    /// What simmers open after that, and how long it takes.
    pub open: Option<(Vec<Addition>, f64)>,
}

impl Opened {
    /// For a pot whose last heat is pressure, where something goes in later.
    pub(super) fn of(case: &ResolvedDish, bench: &Prepare) -> Option<Self> {
        let target_c = case.last().medium.get::<Pressure>()?.target_c;
        let things: Vec<Addition> =
            bench.later.iter().map(|thing| thing.what).filter(|what| what.times().done_min > 0.0).collect();
        let root = |what: &Addition| what.times().softens && what.times().done_min >= SOON_MIN;
        let closes = bench.later_closed.unwrap_or_else(|| things.iter().any(root));
        let (roots, quick): (Vec<_>, Vec<_>) = things.into_iter().partition(|what| closes && root(what));
        let longest = |things: &[Addition], celsius: f64| {
            things.iter().map(|what| softens_by(*what, celsius)).fold(0.0, f64::max).ceil()
        };
        let pressed_min = longest(&roots, target_c).max(2.0);
        let simmer_min = longest(&quick, case.boil_c - 3.0).max(2.0);
        let some = |things: Vec<Addition>, min: f64| (!things.is_empty()).then_some((things, min));
        let opened = Self { closed: some(roots, pressed_min), open: some(quick, simmer_min) };
        (opened.closed.is_some() || opened.open.is_some()).then_some(opened)
    }

    /// Minutes from opening it to lifting the meat.
    pub fn min(&self) -> f64 {
        let closed = self.closed.as_ref().map_or(0.0, |(_, min)| ADD_MIN + UP_AGAIN_MIN + min + LET_OFF_MIN);
        closed + self.open.as_ref().map_or(0.0, |(_, min)| ADD_MIN + min)
    }

    /// Minutes at pressure, the second time.
    pub fn pressed_min(&self) -> f64 {
        self.closed.as_ref().map_or(0.0, |(_, min)| *min)
    }

    /// The tasks of it: what goes in, whether it is closed on it, hands-on minutes and minutes by itself.
    pub fn goes(&self) -> impl Iterator<Item = (&[Addition], bool, f64, f64)> {
        let closed = self.closed.iter().map(|(what, min)| (&what[..], true, ADD_MIN, UP_AGAIN_MIN + min + LET_OFF_MIN));
        closed.chain(self.open.iter().map(|(what, min)| (&what[..], false, ADD_MIN, *min)))
    }
}

#[cfg(test)]
mod tests {
    use serde_json::json;

    use super::*;
    use crate::forecast::ForecastRequest;

    fn opened(later: serde_json::Value, closed: Option<bool>) -> Option<Opened> {
        let request: ForecastRequest =
            serde_json::from_value(json!({"cut": "chuck", "mass_kg": 1.4, "method": "pressure"})).unwrap();
        let bench: Prepare = serde_json::from_value(json!({"later": later, "later_closed": closed})).unwrap();
        Opened::of(&request.resolve().unwrap(), &bench)
    }

    #[test]
    fn roots_go_under_pressure_again_and_peas_simmer_open_after_that() {
        let both = opened(json!([{"what": "potato", "g": 600}, {"what": "peas", "g": 200}]), None).unwrap();
        let (roots, pressed_min) = both.closed.clone().unwrap();
        let (quick, open_min) = both.open.clone().unwrap();
        assert_eq!((roots, quick), (vec![Addition::Potato], vec![Addition::Peas]));
        assert!(pressed_min < 12.0, "{pressed_min}: pressure is quick");
        assert_eq!(both.pressed_min(), pressed_min);
        assert_eq!(both.min(), ADD_MIN + UP_AGAIN_MIN + pressed_min + LET_OFF_MIN + ADD_MIN + open_min);
        let goes: Vec<bool> = both.goes().map(|(_, closed, ..)| closed).collect();
        assert_eq!(goes, [true, false]);
    }

    #[test]
    fn what_the_cook_says_holds_and_without_anything_later_it_is_opened_once() {
        assert_eq!(opened(json!([]), None), None);
        let open = opened(json!([{"what": "potato", "g": 600}]), Some(false)).unwrap();
        assert!(open.closed.is_none() && open.open.is_some());
        assert_eq!(open.pressed_min(), 0.0);
    }
}
