use super::super::asked::Heat;
use super::super::id::WayId;
use super::super::testing::set;
use super::*;

#[test]
fn it_is_turned_from_one_switch_to_the_other_and_no_further() {
    let on = |setting| set(WayId::SlowCooker, Heat { setting: Some(setting), ..Heat::default() });
    let turned = |setting, up| on(setting).way().turned(up).and_then(|(_, heat)| heat.setting);
    assert_eq!(turned(Settings::Low, true), Some(Settings::High));
    assert_eq!(turned(Settings::High, false), Some(Settings::Low));
    assert_eq!(turned(Settings::Low, false), None);
    assert_eq!(turned(Settings::High, true), None);
}

#[test]
fn the_rule_of_the_other_switch_is_worked_out_from_this_meat() {
    let rules = |other_min: Option<f64>| {
        let meat = MeatFigures { small: false, pounds: 3.0, another_way: &|_, _| Ok(other_min) };
        set(WayId::SlowCooker, Heat::default()).way().by_thumb(&meat).unwrap()
    };
    assert_eq!(rules(None).len(), 1);
    assert_eq!(rules(Some(200.0))[1].minutes, 400.0);
}
