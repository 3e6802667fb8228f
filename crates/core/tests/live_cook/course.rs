//! A cook as it goes on: what is in hand, what a finding moves, what is taken back, and what the log keeps of it.

use ergastic_core::cook::{CookSummary, CookView, Happened, Outcome, Status, TaskState};
use ergastic_core::sheet::TaskId;
use ergastic_core::tender::Check;
use jiff::Timestamp;
use serde_json::json;
use uuid::Uuid;

use crate::cook::Cook;

fn chuck() -> Cook {
    Cook::opened(&json!({
        "cut": "chuck", "mass_kg": 1.8, "method": "braise", "heat": {"source": "hob", "simmer": "gentle"},
        "liquid_l": 1.0, "members": 300,
    }))
}

fn checked(cook: &mut Cook, minute: f64, happened: Happened) -> CookView {
    cook.happened(minute, happened);
    cook.view(minute)
}

fn p50(view: &CookView) -> Timestamp {
    view.band.ready.p50.unwrap()
}

fn width_min(view: &CookView) -> f64 {
    let ready = &view.band.ready;
    ergastic_core::clock::minutes_between(ready.p10.unwrap(), ready.p90.unwrap())
}

#[test]
fn a_warmer_middle_than_foretold_is_sooner_and_a_cooler_one_later() {
    let read = |celsius: f64| {
        let mut cooking = chuck();
        cooking.happened(100.0, Happened::OnTheHeat {});
        checked(&mut cooking, 160.0, Happened::CoreReading { celsius })
    };
    let (cool, warm) = (read(60.0), read(80.0));
    assert!(p50(&warm) < p50(&cool), "{} {}", p50(&warm), p50(&cool));
    assert!((cool.findings, warm.findings) == (1, 1) && warm.predicted == cool.predicted);
}

#[test]
fn each_finding_narrows_the_band_and_leaves_fewer_cooks_that_agree() {
    let mut cooking = chuck();
    cooking.happened(100.0, Happened::OnTheHeat {});
    let before = cooking.view(130.0);
    let one = checked(&mut cooking, 190.0, Happened::CoreReading { celsius: 82.0 });
    let two = checked(&mut cooking, 230.0, Happened::Check { found: Check::Slice, by: None });
    assert!(width_min(&two) < width_min(&before), "{} {}", width_min(&before), width_min(&two));
    assert!(before.effective > one.effective && one.effective > two.effective);
}

#[test]
fn a_finding_nobody_foretold_is_said_to_be_one() {
    let mut cooking = chuck();
    cooking.happened(100.0, Happened::OnTheHeat {});
    let odd = checked(&mut cooking, 105.0, Happened::CoreReading { celsius: 95.0 });
    assert!(odd.surprising && odd.words.contains("probe"), "{}", odd.words);
    cooking.happened(106.0, Happened::Undone { event: Uuid::from_u128(2) });
    assert!(!cooking.view(106.0).surprising);
}

#[test]
fn what_is_poured_in_is_in_the_pot_and_cold_water_costs_minutes() {
    let poured = |celsius: f64| {
        let mut cooking = chuck();
        cooking.happened(100.0, Happened::OnTheHeat {});
        checked(&mut cooking, 150.0, Happened::LiquidAdded { litres: 0.5, celsius: Some(celsius), task: None })
    };
    let mut dry = chuck();
    dry.happened(100.0, Happened::OnTheHeat {});
    let (plain, hot, cold) = (dry.view(150.0), poured(95.0), poured(5.0));
    assert!(hot.pot.liquid_l > plain.pot.liquid_l + 0.3, "{} {}", plain.pot.liquid_l, hot.pot.liquid_l);
    assert!(p50(&cold) > p50(&hot));
}

#[test]
fn soft_enough_is_tender_and_too_firm_is_not() {
    for (found, tender) in
        [(Check::Firm, false), (Check::Slice, false), (Check::Fork, true), (Check::Pull, true), (Check::Spoon, true)]
    {
        let mut cooking = chuck();
        cooking.happened(100.0, Happened::OnTheHeat {});
        let view = checked(&mut cooking, 270.0, Happened::Check { found, by: None });
        assert_eq!(view.status == Status::Tender, tender, "{found:?}");
        assert_eq!(view.tender_at.is_some(), tender, "{found:?}");
    }
}

#[test]
fn what_is_in_hand_goes_on_from_the_bench_to_the_plate() {
    let mut cooking = chuck();
    let mut seen = Vec::new();
    // Each thing is done as soon as it is asked for, from an hour before the bell's own start.
    let mut minute = 200.0;
    while let Some(now) = cooking.view(minute).now_task.filter(|_| seen.len() < 60) {
        seen.push(now);
        cooking.happened(
            minute,
            match now {
                TaskId::Simmer if !seen[..seen.len() - 1].contains(&TaskId::Simmer) => Happened::OnTheHeat {},
                _ => Happened::TaskDone { task: now.to_string() },
            },
        );
        minute += 12.0;
    }
    let place = |id: TaskId| seen.iter().position(|seen| *seen == id);
    assert!(place(TaskId::Salt) < place(TaskId::Simmer) && place(TaskId::Simmer) < place(TaskId::Lift), "{seen:?}");
    assert!(place(TaskId::Lift) < place(TaskId::Serve) && seen.last() == Some(&TaskId::Serve), "{seen:?}");
}

#[test]
fn what_is_taken_back_is_struck_out_and_kept_in_the_log() {
    let mut cooking = chuck();
    cooking.happened(100.0, Happened::OnTheHeat {});
    let before = cooking.view(160.0);
    let reading = cooking.happened(160.0, Happened::CoreReading { celsius: 40.0 });
    cooking.happened(161.0, Happened::Undone { event: reading });
    let after = cooking.view(160.0);
    assert_eq!((after.findings, &after.band), (0, &before.band));
    let struck: Vec<bool> = after.log.iter().map(|line| line.undone).collect();
    assert_eq!(struck, [false, true]);
}

#[test]
fn a_pressure_pot_and_a_pit_are_led_through_as_well() {
    for forecast in [
        json!({"cut": "chuck", "mass_kg": 1.8, "method": "pressure", "members": 64}),
        json!({"cut": "plate_rib", "mass_kg": 2.4, "method": "smoke", "heat": {"pit_c": 135}, "members": 64}),
    ] {
        let mut cooking = Cook::opened(&forecast);
        let before = cooking.view(0.0);
        assert!(before.status == Status::Before && before.now_task.is_some());
        cooking.happened(60.0, Happened::OnTheHeat {});
        let under_way = cooking.view(70.0);
        assert_eq!(under_way.status, Status::UnderWay);
        assert!(under_way.tasks.iter().any(|task| task.task.id == TaskId::Lift && task.state == TaskState::Open));
    }
}

#[test]
fn a_closed_cook_says_what_came_of_it_and_teaches() {
    let mut cooking = chuck();
    cooking.happened(100.0, Happened::OnTheHeat {});
    cooking.happened(200.0, Happened::CoreReading { celsius: 92.0 });
    cooking.happened(280.0, Happened::Check { found: Check::Fork, by: None });
    cooking.happened(300.0, Happened::TaskDone { task: "lift".into() });
    let outcome = Outcome { ate_as: Some(Check::Fork), change: Some("more salt".into()), ..Outcome::default() };
    let closed = checked(&mut cooking, 400.0, Happened::Closed { outcome: outcome.clone() });
    assert_eq!((closed.status, closed.outcome.as_ref(), closed.now_task), (Status::Closed, Some(&outcome), None));
    assert_eq!(closed.prediction.took_min, Some(180.0));
    assert_eq!(closed.words, closed.prediction.words);

    let facts = CookSummary::facts(Uuid::nil(), Uuid::nil(), &cooking.plan, cooking.opened, &cooking.events);
    assert!(facts.reckoned.is_none() && facts.status == Status::Closed && facts.mass_kg == Some(1.8));
    let told = facts.with(&closed);
    assert_eq!(told.reckoned.as_ref().map(|said| said.tender_at), Some(closed.tender_at));
    assert!(told.line().tender_from.is_none(), "what is over is not tender from any time on");
}

#[test]
fn a_cook_under_way_shows_its_band_in_the_list() {
    let mut cooking = chuck();
    cooking.happened(100.0, Happened::OnTheHeat {});
    let view = cooking.view(150.0);
    let line =
        CookSummary::facts(Uuid::nil(), Uuid::nil(), &cooking.plan, cooking.opened, &cooking.events).with(&view).line();
    assert_eq!((line.tender_from, line.tender_until), (view.band.ready.p10, view.band.ready.p90));
}
