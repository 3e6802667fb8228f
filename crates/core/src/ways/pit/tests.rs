use super::super::asked::Heat;
use super::super::catalogue::Set;
use super::super::id::WayId;
use super::super::testing::{said, set};
use super::*;

fn pit(wrap: Option<f64>) -> Set {
    let wrap = wrap.map(|at_c| Wrap { material: WrapMaterial::Paper, at_core_c: Some(at_c) });
    set(WayId::Pit, Heat { wrap, ..bare(110.0) })
}

#[test]
fn what_is_wrapped_from_the_first_has_no_stall_and_no_wrap_to_put_on() {
    let why = |set: &Set| said(set.way().goes_on(Lid::Tight, None, Voice::default()).2);
    assert_ne!(why(&pit(Some(0.0))), why(&pit(None)));
    assert_eq!(why(&pit(Some(70.0))), why(&pit(None)));
    assert_eq!(pit(None).way().could().len(), 2);
    assert_eq!(pit(Some(70.0)).way().could().len(), 2);
    assert!(pit(Some(0.0)).way().could().is_empty());
}

#[test]
fn it_is_lit_again_from_what_it_has_cooled_to() {
    let short = InThePit::lit_again(bare(110.0), 20.0).pit_start_c.unwrap();
    let long = InThePit::lit_again(bare(110.0), 120.0).pit_start_c.unwrap();
    assert!(110.0 > short && short > long && long > 10.0, "{short} {long}");
    assert_eq!(InThePit::warm(Heat { pit_start_c: Some(20.0), ..bare(110.0) }), bare(110.0));
}

#[test]
fn sinew_and_small_lean_bits_stay_out_of_it() {
    assert!(InThePit::against(Cut::Tendon, EatenAs::Spoon).is_some());
    assert!(InThePit::against(Cut::StewingMix, EatenAs::Fork).is_some());
    assert!(InThePit::against(Cut::Brisket, EatenAs::Probe).is_none());
}

#[test]
fn a_fire_that_is_out_falls_to_the_air_outside() {
    let Some(InThePit { pit: out, .. }) = pit(None).went_out().get::<InThePit>().copied() else { panic!() };
    assert!(out.start_c == 110.0 && out.set_c < 30.0, "{out:?}");
}
