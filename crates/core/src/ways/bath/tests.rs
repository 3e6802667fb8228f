use super::super::asked::Heat;
use super::super::id::WayId;
use super::super::testing::{dish, said, set, set_at};
use super::*;

#[test]
fn it_stays_under_the_boil_of_the_place_and_above_what_is_safe() {
    let at = |bath_c, boil_c| set_at(WayId::Bath, &Heat { bath_c: Some(bath_c), ..Heat::default() }, boil_c);
    assert!(at(99.0, 100.0).is_ok() && at(99.1, 100.0).is_err());
    assert!(at(92.0, 93.3).is_ok() && at(93.0, 93.3).is_err(), "up a mountain it boils sooner");
    assert!(at(54.4, 100.0).is_ok() && at(54.3, 100.0).is_err());
    assert_eq!(bounds::bath_c.low, crate::safety::MIN_BATH_C);
}

#[test]
fn a_bag_stays_a_bag_when_it_is_cooled_and_one_that_holds_is_not_turned_down() {
    let bath = |bath_c| set(WayId::Bath, Heat { bath_c: Some(bath_c), ..Heat::default() });
    assert_eq!(bath(82.0).way().cooled(), Cooling::InBag);
    assert_eq!(bath(82.0).way().held().map(|(at_c, _)| at_c), Some(HOLDS_C));
    assert!(bath(HOLDS_C).way().held().is_none());
}

#[test]
fn bones_are_minded_in_a_bag() {
    let bath = set(WayId::Bath, Heat::default());
    let why = |bones| said(bath.way().put_in(&DishFacts { bones, ..dish() }).1);
    assert_ne!(why(true), why(false));
}
