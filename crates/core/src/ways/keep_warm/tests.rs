use super::super::asked::Heat;
use super::super::id::WayId;
use super::super::testing::set;
use super::*;

#[test]
fn what_is_kept_too_cool_is_told_so() {
    let ids = |at_c| {
        let kept = set(WayId::KeepWarm, Heat { at_c: Some(at_c), ..Heat::default() });
        (
            kept.way().softens(),
            kept.way().cautions(Voice::default()).into_iter().map(|caution| caution.id).collect::<Vec<_>>(),
        )
    };
    assert!(ids(USUAL_KEEP_WARM_C).1.is_empty() && ids(USUAL_KEEP_WARM_C).0);
    assert!(!ids(55.0).0 && ids(55.0).1.len() == 1, "{:?}", ids(55.0));
}
