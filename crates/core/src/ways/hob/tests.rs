use super::super::asked::Heat;
use super::super::id::WayId;
use super::super::testing::{said, set};
use super::*;

#[test]
fn a_flame_is_turned_one_simmer_at_a_time_and_never_to_a_boil() {
    let turned = |simmer, up| set(WayId::Hob, Heat::hob(simmer)).way().turned(up).and_then(|(_, heat)| heat.simmer);
    assert_eq!(turned(Simmer::Lazy, true), Some(Simmer::Gentle));
    assert_eq!(turned(Simmer::Gentle, true), Some(Simmer::Brisk));
    assert_eq!(turned(Simmer::Brisk, true), None);
    assert_eq!(turned(Simmer::Boil, false), Some(Simmer::Gentle));
    assert_eq!(turned(Simmer::Lazy, false), None);
}

#[test]
fn only_a_boil_rolls_and_is_told_so() {
    for simmer in [Simmer::Lazy, Simmer::Gentle, Simmer::Brisk, Simmer::Boil] {
        let hob = set(WayId::Hob, Heat::hob(simmer));
        assert_eq!(hob.rolls(), simmer == Simmer::Boil);
        assert_eq!(said(hob.way().sentence(100.0, None)).contains("rolling"), hob.rolls());
        assert_eq!(hob.simmer(), Some(simmer));
    }
}

#[test]
fn a_brisker_simmer_burns_more() {
    let burns = |simmer| set(WayId::Hob, Heat::hob(simmer)).way().burns(3.0).kwh;
    assert!([Simmer::Lazy, Simmer::Gentle, Simmer::Brisk, Simmer::Boil].map(burns).is_sorted());
}
