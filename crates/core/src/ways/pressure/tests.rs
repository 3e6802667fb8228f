use super::super::asked::Heat;
use super::super::id::WayId;
use super::super::testing::{said, set, set_at};
use super::*;

#[test]
fn a_switch_is_a_gauge_and_both_together_are_refused() {
    let at = |level| {
        set(WayId::Pressure, Heat { level: Some(level), ..Heat::default() }).get::<Pressure>().unwrap().target_c
    };
    assert!((at(Settings::High) - 115.4).abs() < 0.3 && (at(Settings::Low) - 108.7).abs() < 0.3);
    let both = Heat { level: Some(Settings::High), gauge_kpa: Some(70.0), ..Heat::default() };
    assert_eq!(set_at(WayId::Pressure, &both, 100.0).unwrap_err().field, "heat.gauge_kpa");
}

#[test]
fn it_is_cooler_up_a_mountain() {
    let at = |boil_c| set_at(WayId::Pressure, &Heat::default(), boil_c).unwrap().get::<Pressure>().unwrap().target_c;
    assert!(at(100.0) - at(90.0) > 3.0);
}

#[test]
fn its_steps_say_the_minutes_where_they_are_fixed_and_how_it_is_let_go() {
    let text = |heat| said(set(WayId::Pressure, heat).way().goes_on(Lid::Tight, None, Voice::default()).1);
    let fixed = text(Heat { at_pressure_min: Some(35.0), ..Heat::default() });
    assert!(fixed.contains("35 min"), "{fixed}");
    assert_ne!(fixed, text(Heat { at_pressure_min: Some(35.0), release: Some(Release::Quick), ..Heat::default() }));
}

#[test]
fn one_that_is_open_already_is_lifted_from_like_a_pot() {
    let pot = set(WayId::Pressure, Heat::default());
    assert_ne!(said(pot.way().lift(false).0), said(pot.way().lift(true).0));
}
