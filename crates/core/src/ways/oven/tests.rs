use super::super::asked::Heat;
use super::super::id::WayId;
use super::super::testing::{dish, set};
use super::*;
use crate::kitchen::Lane;

#[test]
fn a_pot_is_brought_to_a_simmer_first_and_a_dish_that_no_flame_may_touch_goes_straight_in() {
    let pot = set(WayId::Oven, Heat::oven(150.0));
    let dish_in = set(WayId::Oven, Heat { start: Some(Start::Oven), ..Heat::oven(150.0) });
    assert_eq!(pot.way().meets_the_heat(Lid::Tight, &dish()).0, Lane::Hob);
    assert_eq!(dish_in.way().meets_the_heat(Lid::Tight, &dish()).0, Lane::Oven);
    let again = Oven::lit_again(Heat::oven(150.0), 20.0);
    assert_eq!(again.start, Some(Start::Oven));
}

#[test]
fn it_is_turned_by_steps_up_to_the_ends_of_what_braises() {
    let turned =
        |set_c: f64, up| set(WayId::Oven, Heat::oven(set_c)).way().turned(up).map(|(_, heat)| heat.set_c.unwrap());
    assert_eq!(turned(150.0, true), Some(170.0));
    assert_eq!(turned(170.0, true), Some(180.0));
    assert_eq!(turned(180.0, true), None);
    assert_eq!(turned(92.0, false), None);
}

#[test]
fn each_dial_has_its_own_steps() {
    let steps = |units| {
        Oven::settings(&Heat::default(), units)
            .iter()
            .map(|setting| setting.celsius.unwrap().round())
            .collect::<Vec<_>>()
    };
    assert_eq!(steps(Units::Metric), [100.0, 120.0, 150.0, 175.0, 200.0]);
    assert_eq!(steps(Units::Us), [93.0, 121.0, 149.0, 177.0, 204.0]);
    assert!(set(WayId::Oven, Heat::oven(170.0)).way().hotter(Units::Metric).is_none());
    let hotter = set(WayId::Oven, Heat::oven(150.0)).way().hotter(Units::Us).unwrap();
    assert_eq!(hotter.heat.set_c.unwrap().round(), 177.0);
}
