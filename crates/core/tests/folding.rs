//! Whatever happens, in whatever order, a cook folds into something a cook can act on.

use ergastic_core::bench::Larder;
use ergastic_core::clock::plus_minutes;
use ergastic_core::cook::{
    Event, Happened, Outcome, ProbeIn, Status, TaskState, Trace, gone_wrong, plated, view, what_if,
};
use ergastic_core::finish::{Move, SauceChoices, Seasoned, Skim, Thickener, sauce};
use ergastic_core::forecast::Heat;
use ergastic_core::heat::pot::Lid;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::plan::Plan;
use ergastic_core::tender::Check;
use ergastic_core::ways::Method;
use jiff::{SignedDuration, Timestamp};
use proptest::prelude::*;
use uuid::Uuid;

fn opened() -> Timestamp {
    "2027-02-06T08:00:00Z".parse().unwrap()
}

fn plan() -> Plan {
    serde_json::from_value(serde_json::json!({
        "name": "Shin", "serve_at": "2027-02-06T16:30:00Z",
        "forecast": {"cut": "shin", "mass_kg": 1.8, "method": "braise", "members": 48},
    }))
    .unwrap()
}

fn tasks() -> impl Strategy<Value = String> {
    prop_oneof!["salt|take_out|preheat|sear_1|deglaze|simmer|lift|skim|sauce|slice|serve", "[a-z_]{1,8}"]
}

fn happened() -> impl Strategy<Value = Happened> {
    let found =
        prop_oneof![Just(Check::Firm), Just(Check::Slice), Just(Check::Fork), Just(Check::Pull), Just(Check::Spoon)];
    prop_oneof![
        2 => Just(Happened::OnTheHeat {}),
        4 => tasks().prop_map(|task| Happened::TaskDone { task }),
        1 => tasks().prop_map(|task| Happened::TaskTaken { task, hands: "Runa".into() }),
        3 => (-40.0..400.0f64).prop_map(|celsius| Happened::CoreReading { celsius }),
        3 => found.prop_map(|found| Happened::Check { found, by: None }),
        1 => (0.01..5.0f64).prop_map(|litres| Happened::LiquidAdded { litres, celsius: None, task: None }),
        1 => (0.0..5.0f64).prop_map(|litres| Happened::Dipped { litres }),
        1 => (0.0..2.0f64).prop_map(|lost_kg| Happened::Weighed { lost_kg }),
        1 => (0.0..3.0f64).prop_map(|kg| Happened::MeatWeighed { kg }),
        1 => prop_oneof![Just(Seasoned::Flat), Just(Seasoned::Right), Just(Seasoned::Salty)].prop_map(|salt| Happened::Tasted { salt }),
        2 => (90.0..200.0f64).prop_map(|set_c| changed(Heat { set_c: Some(set_c.round()), ..Heat::default() })),
        1 => prop_oneof![Just(Lid::Tight), Just(Lid::None)].prop_map(|lid| Happened::Changed { method: None, heat: None, lid: Some(lid), halved: false }),
        1 => Just(Happened::Changed { method: None, heat: None, lid: None, halved: true }),
        1 => Just(Happened::Changed { method: Some(Method::KeepWarm), heat: None, lid: None, halved: false }),
        2 => prop_oneof![Just(Happened::HeatOff {}), Just(Happened::HeatOn {})],
        1 => (0.5..60.0f64).prop_map(|min| Happened::Opened { min }),
        1 => (0i64..900).prop_map(|minute| Happened::ServeAtMoved { serve_at: plus_minutes(opened(), minute as f64) }),
        1 => (0.0..30.0f64).prop_map(|mm| Happened::FatMeasured { mm }),
        1 => prop_oneof![Just(ProbeIn::Meat), Just(ProbeIn::Pot), Just(ProbeIn::Air), Just(ProbeIn::Aside)]
            .prop_map(|into| Happened::ProbePut { probe: "galley".into(), into }),
        1 => tasks().prop_map(|task| Happened::Later { alarm: format!("task:{task}"), min: 10.0 }),
        2 => moves().prop_map(|did| Happened::SauceDone { did: Box::new(did), then: vec![] }),
        1 => prop::collection::vec(moves(), 0..4).prop_map(|moves| {
            Happened::SauceChosen { sauce: Box::new(SauceChoices { moves: Some(moves), ..SauceChoices::default() }) }
        }),
        1 => Just(Happened::TakenOut { what: "the bay".into() }),
        1 => Just(Happened::Closed { outcome: Outcome::default() }),
        3 => (0u128..14).prop_map(|event| Happened::Undone { event: Uuid::from_u128(event) }),
        2 => (0u128..14, 0i64..900).prop_map(|(event, minute)| Happened::Retimed { event: Uuid::from_u128(event), at: plus_minutes(opened(), minute as f64) }),
    ]
}

fn moves() -> impl Strategy<Value = Move> {
    prop_oneof![
        Just(Move::Skim { with: Skim::Ladle }),
        (0.05..3.0f64).prop_map(|to_l| Move::Reduce { to_l, meat_in: false }),
        (0.1..3.0f64).prop_map(|to_body| Move::Thicken { with: Thickener::Flour, to_body }),
        (0.05..2.0f64).prop_map(|litres| Move::SetAside { litres }),
    ]
}

fn changed(heat: Heat) -> Happened {
    Happened::Changed { method: None, heat: Some(Box::new(heat)), lid: None, halved: false }
}

/// What a probe read over the whole of it, strange or not.
fn trace() -> impl Strategy<Value = Vec<Trace>> {
    prop::collection::vec((0i64..900, -20.0..150.0f64), 0..60).prop_map(|mut readings| {
        readings.sort_by_key(|(minute, _)| *minute);
        let at = |minute: i64| plus_minutes(opened(), minute as f64);
        let readings = readings.into_iter().map(|(minute, celsius)| (at(minute), celsius)).collect();
        vec![Trace { probe: "galley".into(), readings }]
    })
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(40))]

    #[test]
    fn every_history_folds(history in prop::collection::vec((0i64..700, happened()), 0..14), now in 0i64..900, traces in trace()) {
        let events: Vec<Event> = history
            .into_iter()
            .enumerate()
            .map(|(i, (minute, happened))| Event { id: Uuid::from_u128(i as u128), at: opened() + SignedDuration::from_mins(minute), happened, device: None })
            .collect();
        let now = opened() + SignedDuration::from_mins(now);
        let cook = view(&plan(), &Kitchen::default(), opened(), &events, &traces, now).unwrap();
        prop_assert!(what_if(&plan(), &Kitchen::default(), opened(), &events, &traces, now).is_ok());
        prop_assert!(plated(&plan(), &Kitchen::default(), opened(), &events, &traces, now).is_ok());
        prop_assert!(gone_wrong(&plan(), &Kitchen::default(), opened(), &events, &traces, now).is_ok());
        let lines = events.iter().filter(|event| !matches!(event.happened, Happened::Undone { .. } | Happened::Retimed { .. }));
        prop_assert_eq!(cook.log.len(), lines.count());
        prop_assert!(cook.effective >= 1.0 - 1e-9 && cook.effective <= 48.0 + 1e-9);
        prop_assert!(cook.pot.salt_g >= 0.0 && cook.pot.salt_g.is_finite(), "{:?}", cook.pot);
        prop_assert!((0.0..=1.0).contains(&cook.band.ready.chance));
        prop_assert!(sauce(&cook.sauce).is_ok(), "{:?}", cook.sauce);
        // What too few members ever reach comes after everything.
        let times = [cook.band.ready.p10, cook.band.ready.p50, cook.band.ready.p90].map(|at| at.unwrap_or(Timestamp::MAX));
        prop_assert!(times.is_sorted(), "{:?}", cook.band.ready);
        prop_assert_eq!(cook.status == Status::Closed, cook.now_task.is_none() && cook.outcome.is_some());
        let open: Vec<_> = cook.tasks.iter().filter(|task| task.state == TaskState::Open).map(|task| &task.task.id).collect();
        for task in [&cook.now_task, &cook.next_task].into_iter().flatten() {
            prop_assert!(open.contains(&task), "{task} is asked for and not open");
        }
        if cook.status == Status::Before {
            prop_assert!(cook.findings == 0 && cook.tenderness.is_none());
        }
        // Folding is a function of its input, and an event sent twice is stored once; here it must not matter to state.
        prop_assert_eq!(&view(&plan(), &Kitchen::default(), opened(), &events, &traces, now).unwrap(), &cook);
    }

    #[test]
    fn undoing_the_last_thing_is_as_if_it_had_not_been(history in prop::collection::vec((0i64..700, happened()), 1..8)) {
        let mut events: Vec<Event> = history
            .into_iter()
            .enumerate()
            .map(|(i, (minute, happened))| Event { id: Uuid::from_u128(i as u128), at: opened() + SignedDuration::from_mins(minute), happened, device: None })
            .collect();
        let now = opened() + SignedDuration::from_mins(800);
        let last = events.pop().unwrap();
        let before = view(&plan(), &Kitchen::default(), opened(), &events, &[], now).unwrap();
        let undo = Event { id: Uuid::from_u128(99), at: now, happened: Happened::Undone { event: last.id }, device: None };
        // An undo that was itself to come may have named it already; then there is nothing to compare.
        let named = events.iter().any(|event| matches!(event.happened, Happened::Undone { event } if event == last.id));
        events.extend([last, undo]);
        let after = view(&plan(), &Kitchen::default(), opened(), &events, &[], now).unwrap();
        if !named {
            prop_assert_eq!((before.status, &before.tasks, &before.band), (after.status, &after.tasks, &after.band));
        }
    }
}

#[test]
fn a_taste_of_the_pot_corrects_its_salt_and_taking_it_back_does_too() {
    let mut plan = plan();
    plan.prepare.base = Larder::Stock;
    let at = |id: u128, minute: i64, happened| Event {
        id: Uuid::from_u128(id),
        at: opened() + SignedDuration::from_mins(minute),
        happened,
        device: None,
    };
    let pot = |more: Vec<Event>| {
        let events: Vec<Event> = [at(1, 30, Happened::OnTheHeat {})].into_iter().chain(more).collect();
        view(&plan, &Kitchen::default(), opened(), &events, &[], opened() + SignedDuration::from_mins(150)).unwrap().pot
    };
    let tasted = |salt| at(2, 120, Happened::Tasted { salt });
    let before = pot(vec![]);
    let [flat, right, salty] = [Seasoned::Flat, Seasoned::Right, Seasoned::Salty].map(|salt| pot(vec![tasted(salt)]));
    assert!(flat.salt_g < before.salt_g && before.salt_g < salty.salt_g, "{before:?} {flat:?} {salty:?}");
    assert!(right.salt_doubt_g < before.salt_doubt_g, "{right:?}");
    let taken_back = pot(vec![tasted(Seasoned::Salty), at(3, 121, Happened::Undone { event: Uuid::from_u128(2) })]);
    assert_eq!(taken_back, before);
}
