use super::super::asked::Heat;
use super::super::id::WayId;
use super::super::testing::set_at;
use super::*;

#[test]
fn it_is_warmed_to_a_figure_below_the_boil_of_the_place() {
    let to = |to_c, boil_c| set_at(WayId::Reheat, &Heat { to_c: Some(to_c), ..Heat::default() }, boil_c);
    assert!(to(90.0, 100.0).is_ok() && to(90.5, 100.0).is_err());
    assert!(to(84.0, 90.0).is_ok() || to(85.0, 90.0).is_ok());
    assert!(to(86.0, 90.0).is_err(), "up a mountain it boils sooner");
    assert_eq!(to(74.0, 100.0).unwrap().way().ends(), Some(End::Warm(74.0)));
}
