//! That the core goes by what the fit says, that the fit is good enough, and that the page says how good.

use ergastic_fit::constants::{Constants, PRIORS};
use ergastic_fit::practice::{self, Row};
use ergastic_fit::report::{self, Report};
use ergastic_fit::solve;

#[test]
fn the_core_goes_by_the_fit_and_the_fit_meets_practice() {
    let rows = practice::rows().unwrap();
    let all: Vec<&Row> = rows.iter().collect();
    let core = Constants::of_the_core();
    // From the core's own, so that a few rounds show whether anything still moves.
    let fitted = solve::fit(&all, &core, 4);
    let pairs = core.to_numbers().into_iter().zip(fitted.to_numbers());
    for (i, (core, fitted)) in pairs.enumerate() {
        // The share of the middle is a flat valley: it binds in few rows.
        let allowed = if i == 1 { 0.25 } else { 0.015 };
        assert!((core - fitted).abs() < allowed, "number {i}: the core has {}, the fit {}", core.exp(), fitted.exp());
    }
    for prior in PRIORS {
        let of = |cut: &ergastic_core::cuts::Cut| cut.facts().toughness;
        assert!(prior.cuts.iter().all(|cut| of(cut) == of(&prior.cuts[0])), "{:?} share one", prior.cuts);
    }

    let report = Report::of(&rows, &core, &core).unwrap();
    assert!(report.error() <= 0.12, "{}", report.error());
    assert!(report.error_left_out() <= 0.15, "{}", report.error_left_out());
    for outcome in &report.outcomes {
        let ([p10, _, p90], [low, high]) = (outcome.band, outcome.row.window);
        assert!(p10 <= high && p90 >= low, "{}: {p10}–{p90} misses {low}–{high}", outcome.row.cook);
    }

    let page = include_str!("../../../docs/model.md");
    assert!(
        report::put_into(page, &report.table()).unwrap() == page,
        "docs/model.md shows another table: run ./dev fit"
    );
}
