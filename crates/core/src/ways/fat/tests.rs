use super::super::asked::Heat;
use super::super::id::WayId;
use super::super::testing::{dish, said, set};
use super::*;

#[test]
fn it_trembles_and_never_fries() {
    let turned = |fat_c, up| {
        let under = set(WayId::Fat, Heat { fat_c: Some(fat_c), ..Heat::default() });
        under.way().turned(up).and_then(|(_, heat)| heat.fat_c)
    };
    assert_eq!(turned(90.0, true), Some(95.0));
    assert_eq!(turned(98.0, true), None);
    assert_eq!(turned(80.0, false), None);
}

#[test]
fn what_is_salted_is_wiped_before_it_goes_under() {
    let under = set(WayId::Fat, Heat::default());
    let step = |salted| said(under.way().put_in(&DishFacts { salted, ..dish() }).0);
    assert_ne!(step(true), step(false));
}

#[test]
fn whoever_cooks_under_fat_is_told_how_long_it_keeps() {
    let cautions = set(WayId::Fat, Heat::default()).way().cautions(Voice::default());
    assert_eq!(cautions.len(), 1);
}
