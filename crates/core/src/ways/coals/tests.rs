use super::super::asked::Heat;
use super::super::id::WayId;
use super::super::testing::{set, set_at};
use super::*;

#[test]
fn they_are_counted_by_the_pots_width_and_lie_under_it_and_on_its_lid() {
    let usual = set(WayId::Coals, Heat::default());
    let fire = usual.get::<OverCoals>().unwrap().coals;
    assert!(fire.under > fire.over && (14..=26).contains(&(fire.under + fire.over)), "{fire:?}");
}

#[test]
fn no_coals_are_no_fire_and_a_count_is_kept_within_a_pit_of_them() {
    let asked = |under, over| Heat { under: Some(under), over: Some(over), ..Heat::default() };
    for (under, over) in [(0, 0), (81, 4), (4, 81)] {
        assert!(set_at(WayId::Coals, &asked(under, over), 100.0).is_err(), "{under} under, {over} over");
    }
    assert!(set_at(WayId::Coals, &asked(80, 0), 100.0).is_ok());
}

#[test]
fn a_second_lot_burns_as_much_again() {
    let fire =
        set(WayId::Coals, Heat { under: Some(12), over: Some(8), fresh_every_min: Some(45.0), ..Heat::default() });
    let (one, two) = (fire.way().burns(0.7).solid_kg, fire.way().burns(1.4).solid_kg);
    assert!((one - 0.5).abs() < 1e-9 && (two - 1.0).abs() < 1e-9, "{one} {two}");
}

#[test]
fn more_under_it_stands_further_on_the_dial() {
    let around = OverCoals::settings(&Heat { under: Some(10), over: Some(6), ..Heat::default() }, Units::Metric);
    assert_eq!(around.iter().map(|setting| setting.heat.under.unwrap()).collect::<Vec<_>>(), [6, 8, 10, 12, 14]);
}
