//! Speed to hold, in yardsticks: how many times as long something takes as the reference of the same minute. Milliseconds swing by half
//! with the day; these don't.

mod cooks;
#[path = "../../physics/benches/reference/mod.rs"]
mod reference;

use std::hint::black_box;
use std::process::ExitCode;
use std::time::Instant;

use cooks::{brisket, chuck, findings, short_ribs, supper};
use ergastic_core::cuts::Cut;
use ergastic_core::forecast::{forecast, update};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::{MatchRequest, match_ways};
use ergastic_core::meal::meal_sheet_anywhere;
use ergastic_core::prepare::prepare_request;
use jiff::Timestamp;

/// Rounds; what is told is the median.
const ROUNDS: usize = 15;
/// Over by more than this is a slower program, and not a restless machine.
const RESTLESS: f64 = 1.15;

fn ms(work: &dyn Fn()) -> f64 {
    let begun = Instant::now();
    work();
    begun.elapsed().as_secs_f64() * 1000.0
}

fn median(mut of: Vec<f64>) -> f64 {
    of.sort_by(f64::total_cmp);
    of[of.len() / 2]
}

fn main() -> ExitCode {
    let kitchen = Kitchen::default();
    let (case, found) = (chuck(1000).resolve().unwrap(), findings());
    let shin = MatchRequest { cut: Some(Cut::Shin), ..Default::default() };
    let (placed, with_forecasts) = (supper(1), supper(400));
    let meal = |request| drop(black_box(meal_sheet_anywhere(black_box(request), Timestamp::UNIX_EPOCH).unwrap()));
    let held: [(&str, f64, &dyn Fn()); 8] = [
        ("12 h in the pit, 1,000 cooks", 5.6, &|| drop(black_box(forecast(&brisket(1000)).unwrap()))),
        ("braise, 1,000 cooks", 2.3, &|| drop(black_box(forecast(&chuck(1000)).unwrap()))),
        ("live update with 20 findings", 5.6, &|| drop(black_box(update(&case, &found, Some(9000.0)).unwrap()))),
        ("every way and variant of Match", 11.0, &|| {
            drop(black_box(match_ways(&shin, &kitchen, Timestamp::UNIX_EPOCH).unwrap()));
        }),
        ("one dish at the bench", 1.3, &|| drop(black_box(prepare_request(&short_ribs(), &kitchen).unwrap()))),
        ("one brisket, one run", 0.043, &|| drop(black_box(forecast(&brisket(1)).unwrap()))),
        ("a meal of six dishes placed", 12.0, &|| meal(&placed)),
        ("the same with its forecasts", 18.0, &|| meal(&with_forecasts)),
    ];
    let yardstick: &dyn Fn() = &|| {
        black_box(reference::yardstick());
    };
    let mut slow = false;
    println!("{:34} {:>9} {:>11} {:>7} {:>7}", "", "ms", "yardstick", "ratio", "wanted");
    for (name, wanted, work) in held {
        work();
        // Each beside a yardstick of its own: the machine's mood changes within a run, too.
        let rounds: Vec<(f64, f64)> = (0..ROUNDS).map(|_| (ms(yardstick), ms(work))).collect();
        let taken = median(rounds.iter().map(|(_, work)| *work).collect());
        let stick = median(rounds.iter().map(|(stick, _)| *stick).collect());
        let ratio = median(rounds.iter().map(|(stick, work)| work / stick).collect());
        let judged = if ratio <= wanted * RESTLESS { "" } else { "  slower than wanted" };
        slow |= !judged.is_empty();
        println!("{name:34} {taken:>9.2} {stick:>11.2} {ratio:>7.3} {wanted:>7.3}{judged}");
    }
    if slow { ExitCode::FAILURE } else { ExitCode::SUCCESS }
}
