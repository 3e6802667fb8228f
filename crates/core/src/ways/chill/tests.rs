use super::super::asked::Heat;
use super::super::catalogue::Set;
use super::super::id::WayId;
use super::super::testing::set;
use super::*;
use crate::kitchen::Lane;

#[test]
fn how_it_is_cooled_follows_from_what_it_lay_in() {
    let pot = set(WayId::Oven, Heat::oven(150.0));
    let bag = set(WayId::Bath, Heat::default());
    let grate = set(WayId::Pit, Heat::default());
    let cold = |before: Set| Set::Chill(Chill { cooling: before.way().cooled() });
    assert_eq!(cold(pot).get::<Chill>().unwrap().cooling, Cooling::InLiquid);
    assert_eq!(cold(bag).way().cooled(), Cooling::InBag);
    assert_eq!(cold(grate).way().cooled(), Cooling::OnTray);
    assert!(cold(bag).facts().washes.is_empty() && !cold(pot).facts().washes.is_empty());
}

#[test]
fn a_pot_whose_heat_is_off_cools_where_it_stands() {
    let off = set(WayId::Hob, Heat::default()).went_out();
    assert_eq!(off.way().goes_on(Lid::Tight, None, Voice::default()).0, Lane::Board);
    assert!(!off.way().softens());
}
