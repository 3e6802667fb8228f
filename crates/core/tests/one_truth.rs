//! What is chosen in one place is in every other: offers change what they say, a named pot is the pot everywhere, and the
//! same dish has the same figures on every page.

use ergastic_core::bench::Prepare;
use ergastic_core::clock::minutes_between;
use ergastic_core::cook::{Event, Happened, view};
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::{MatchRequest, match_ways};
use ergastic_core::plan::Plan;
use ergastic_core::prepare::Offer;
use ergastic_core::sheet::work_back_and_forecast;
use ergastic_core::tender::Check;
use ergastic_core::ways::presets;
use ergastic_words::Units;
use jiff::Timestamp;
use proptest::prelude::*;
use serde_json::{Value, json};
use uuid::Uuid;

fn plan(forecast: Value, prepare: Value) -> Plan {
    let plan = json!({"name": "Lake-ice shin", "people": 6, "serve_at": "2027-02-06T16:30:00Z", "forecast": forecast, "prepare": prepare});
    serde_json::from_value(plan).unwrap()
}

/// A change put into a document, as RFC 7396 has it.
fn merged(mut document: Value, change: &Value) -> Value {
    let Value::Object(fields) = change else { return change.clone() };
    if !document.is_object() {
        document = json!({});
    }
    for (name, value) in fields {
        if value.is_null() {
            document.as_object_mut().unwrap().remove(name);
        } else {
            document[name] = merged(document.get(name).cloned().unwrap_or_default(), value);
        }
    }
    document
}

fn changed(plan: &Plan, change: &Value) -> Plan {
    serde_json::from_value(merged(serde_json::to_value(plan).unwrap(), change)).unwrap()
}

fn any_way() -> impl Strategy<Value = Value> {
    let offered: Vec<Value> =
        presets(Units::Metric).iter().map(|preset| json!({"method": preset.method, "heat": preset.heat})).collect();
    prop_oneof![
        4 => prop::sample::select(offered),
        1 => Just(json!({"method": "braise", "heat": {"source": "coals", "under": 10, "over": 6}})),
        1 => Just(json!({"method": "stew", "size_mm": [40, 40, 40]})),
        1 => Just(json!({"method": "pressure", "pieces": 4})),
    ]
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 24, failure_persistence: None, ..ProptestConfig::default() })]

    #[test]
    fn what_is_offered_is_what_then_holds(
        way in any_way(),
        cut in prop_oneof![Just("shin"), Just("chuck"), Just("corned_brisket"), Just("short_rib")],
        prepare in prop_oneof![Just(json!({})), Just(json!({"level": "covered", "sear_in": "two_pans", "per_batch": 2})), Just(json!({"clear": true, "brine": {"water_l": 3, "hours": 10}}))],
    ) {
        let kitchen = Kitchen::default();
        let forecast = merged(json!({"cut": cut, "mass_kg": 1.8, "members": 64}), &way);
        let dish = plan(forecast, prepare);
        let bench = dish.at_the_bench(&kitchen).unwrap();
        let lists = |bench: &ergastic_core::prepare::AtTheBench| -> Vec<Vec<Offer>> {
            let offers = bench.offers.clone();
            vec![
                offers.cut_up, offers.salting, offers.less_salt, offers.soak, offers.sear_in, offers.pan, offers.burner,
                offers.level, offers.pot, offers.shape, offers.source, offers.heat, offers.ending,
            ]
        };
        for (i, list) in lists(&bench).into_iter().enumerate() {
            for offer in list {
                let after = changed(&dish, &offer.change);
                let Ok(then) = after.at_the_bench(&kitchen) else { continue };
                let found = lists(&then)[i].iter().find(|found| found.id == offer.id).cloned();
                prop_assert!(found.is_none_or(|found| found.chosen), "{} after {}", offer.id, offer.change);
                prop_assert!(!offer.chosen || i == 0 || i == 7 || after.forecast.heat.is_some() || after == dish || then.prepared.forecast.ready_min == bench.prepared.forecast.ready_min, "{} holds already", offer.id);
            }
        }
        for school in &bench.prepared.schools {
            for option in &school.options {
                let after = changed(&dish, &option.change);
                let Ok(then) = after.at_the_bench(&kitchen) else { continue };
                let asked = then.prepared.schools.iter().find(|found| found.id == school.id);
                prop_assert!(asked.is_none_or(|asked| asked.chosen == option.id), "{} of {}", option.id, school.id);
            }
        }
    }

    #[test]
    fn a_dish_for_twice_as_many_is_twice_the_meat_in_pieces_as_thick(people in 1u32..40, kg in 0.5..4.0f64) {
        let kitchen = Kitchen::default();
        let later = json!({"later": [{"what": "potato", "g": 600}], "ingredients": [{"what": "red_wine", "ml": 200}]});
        let dish = Plan { people, ..plan(json!({"cut": "chuck", "mass_kg": kg, "thickness_mm": 60, "method": "braise"}), later) };
        let twice = dish.for_people(2 * people, &kitchen).unwrap();
        prop_assert!((twice.forecast.mass_kg.unwrap() - 2.0 * kg).abs() <= 0.026);
        prop_assert_eq!(twice.forecast.thickness_mm, Some(60.0));
        prop_assert_eq!((twice.prepare.later[0].g, twice.prepare.ingredients[0].ml), (1200.0, Some(400.0)));
        prop_assert_eq!((twice.people, twice.serve_at), (2 * people, dish.serve_at));
    }

    #[test]
    fn a_dish_is_tender_at_one_hour_wherever_it_is_asked(
        way in any_way(),
        cut in prop_oneof![Just("shin"), Just("chuck"), Just("short_rib")],
        kg in 0.8..3.0f64,
        prepare in prop_oneof![Just(json!({})), Just(json!({"salt_h": 12, "level": "third"}))],
    ) {
        let kitchen = Kitchen::default();
        let dish = plan(merged(json!({"cut": cut, "mass_kg": kg}), &way), prepare);
        let now: Timestamp = "2027-02-05T08:00:00Z".parse().unwrap();
        let (sheet, forecast) = work_back_and_forecast(&dish, &kitchen, now).unwrap();
        let half_min = forecast.ready_min.p50.unwrap();
        let bench = dish.at_the_bench(&kitchen).unwrap().prepared;
        let why = dish.why(&kitchen).unwrap().forecast;
        prop_assert!((bench.hours * 60.0 - half_min).abs() < 1e-6, "{} {}", bench.hours * 60.0, half_min);
        prop_assert_eq!(why.ready_min, forecast.ready_min);
        // The timetable's own hours are those of the forecast, laid on the day.
        let ready = &sheet.ready[0];
        let spread_min = minutes_between(ready.p10.unwrap(), ready.p90.unwrap());
        let forecast_min = forecast.ready_min.p90.unwrap() - forecast.ready_min.p10.unwrap();
        prop_assert!((spread_min - forecast_min).abs() < 0.1, "{} {}", spread_min, forecast_min);
    }
}

#[test]
fn the_same_dish_has_the_same_figures_at_the_bench_on_the_sheet_in_the_cook_and_behind_why() {
    let kitchen = Kitchen { altitude_m: 640.0, ..Kitchen::default() };
    let dish = plan(
        json!({"cut": "shin", "mass_kg": 2.4, "method": "braise"}),
        json!({"trim": "close", "sinew_in_pot": true, "salt_pct": 1.0, "level": "third", "ingredients": [{"what": "red_wine", "ml": 400}]}),
    );
    let now: Timestamp = "2027-02-05T08:00:00Z".parse().unwrap();
    let (_, sheet) = work_back_and_forecast(&dish, &kitchen, now).unwrap();
    let why = dish.why(&kitchen).unwrap().forecast;
    let cook = dish.frozen(&kitchen).why(&Kitchen { altitude_m: 0.0, ..Kitchen::default() }).unwrap().forecast;
    for other in [&why, &cook] {
        assert_eq!(
            (other.ready_min, other.overcooked_min, other.gelatin_g),
            (sheet.ready_min, sheet.overcooked_min, sheet.gelatin_g)
        );
        assert_eq!(other.curve, sheet.curve);
    }
    let bare = Plan { prepare: Prepare::default(), ..dish.clone() }.why(&kitchen).unwrap().forecast;
    assert_ne!(bare.gelatin_g, why.gelatin_g, "the bench is in it");
    let chosen: Vec<_> =
        dish.why(&kitchen).unwrap().ways.into_iter().filter(|way| way.chosen).map(|way| way.id).collect();
    assert_eq!(chosen, ["oven"]);
}

#[test]
fn a_plan_is_cooked_in_the_pot_and_the_pan_that_it_names() {
    let kitchen: Kitchen = serde_json::from_value(json!({
        "pots": [
            {"id": "blue", "name": "Blue pot", "measures": {"diameter_cm": 26, "height_cm": 13}},
            {"id": "wide", "name": "Wide pot", "lent": true, "measures": {"diameter_cm": 34, "height_cm": 12}},
        ],
        "pans": [
            {"id": "black", "name": "Black pan", "measures": {"diameter_cm": 30}},
            {"id": "small", "name": "Small pan", "measures": {"diameter_cm": 20}},
        ],
    }))
    .unwrap();
    let named = |uses: Value| {
        let dish = plan(json!({"cut": "chuck", "mass_kg": 1.6, "pieces": 8, "method": "braise"}), json!({}));
        changed(&dish, &json!({ "uses": uses })).at_the_bench(&kitchen).unwrap()
    };
    let (first, wide, small) = (named(json!({})), named(json!({"pot": "wide"})), named(json!({"pan": "small"})));
    assert_eq!((first.dish.vessel.diameter_cm.unwrap().round(), first.dish.pan.diameter_cm), (26.0, 30.0));
    assert_eq!(wide.dish.vessel.diameter_cm.unwrap().round(), 34.0);
    assert!(wide.prepared.pot.as_ref().unwrap().loss_l > first.prepared.pot.as_ref().unwrap().loss_l);
    assert_eq!(wide.minds.heat.iter().filter(|warning| warning.id == "lent_out").count(), 1);
    assert!(small.prepared.sear.batches > first.prepared.sear.batches);
    let gone = named(json!({"pot": "sold"}));
    assert_eq!(gone.dish.vessel, first.dish.vessel, "a pot that is gone leaves the first that is free");
    let dish = plan(json!({"cut": "chuck", "method": "braise"}), json!({"sear_in": "two_pans"}));
    let one_burner = dish.at_the_bench(&kitchen).unwrap();
    assert!(one_burner.minds.sear.iter().any(|warning| warning.id == "two_pans"), "the kitchen counts its burners");
    // The sheet counts the same things, each for as long as it is taken, and says the same of what is short.
    let dish = changed(&dish, &json!({"uses": {"pot": "wide"}}));
    let now: Timestamp = "2027-02-05T08:00:00Z".parse().unwrap();
    let (sheet, _) = work_back_and_forecast(&dish, &kitchen, now).unwrap();
    let taken: Vec<_> = sheet.things.iter().map(|taken| (taken.name.as_str(), taken.lent)).collect();
    assert_eq!(taken[..3], [("Wide pot", true), ("The oven", false), ("Black pan", false)]);
    let (pot, oven, pan) = (&sheet.things[0], &sheet.things[1], &sheet.things[2]);
    assert!(pan.to <= sheet.heat_on_at && oven.from <= sheet.heat_on_at && oven.to == sheet.lift_at, "{oven:?}");
    assert!(pot.from <= sheet.heat_on_at && pot.to > sheet.lift_at, "{pot:?}");
    let minds = dish.at_the_bench(&kitchen).unwrap().minds;
    let mind = minds.heat.iter().find(|mind| mind.id == "lent_out").unwrap();
    assert!(sheet.conflicts.iter().any(|conflict| conflict.text == mind.text), "{}", mind.text);
}

#[test]
fn each_way_is_drawn_at_its_latest_sure_start_and_lands_at_the_bell() {
    let asked: MatchRequest = serde_json::from_value(json!({
        "cut": "shin", "mass_kg": 2.0, "now": "2027-02-05T07:00:00Z", "serve_at": "2027-02-05T19:00:00Z", "certainty": 0.9, "members": 64,
    }))
    .unwrap();
    let matched = match_ways(&asked, &Kitchen::default(), Timestamp::UNIX_EPOCH).unwrap();
    let mut drawn = 0;
    for way in matched.ways.iter().map(|way| &way.best) {
        let soonest = way.soonest.as_ref().unwrap();
        assert!(soonest.begins >= matched.now && soonest.plates >= matched.serve_at);
        let Some(latest) = &way.latest else { continue };
        drawn += 1;
        assert_eq!((latest.plates, latest.lift), (matched.serve_at, way.lift_at), "{}", way.name);
        assert_eq!(Some(latest.begins), way.start_by);
        assert!(
            (minutes_between(latest.on_the_heat, latest.ready.p50.unwrap()) - way.ready_min.p50.unwrap()).abs() < 0.01
        );
        assert!((way.slack_min - minutes_between(matched.now, latest.begins)).abs() < 0.01);
        assert!(latest.ready.p90.unwrap() <= latest.lift, "nine in ten are tender by then: {}", way.name);
    }
    assert!(drawn >= 4);
    assert_eq!(matched.on_the_block.unwrap().mass_kg, 2.0);
}

#[test]
fn a_line_is_taken_back_put_back_and_put_at_its_true_time() {
    let (kitchen, dish) = (
        Kitchen::default(),
        plan(json!({"cut": "shin", "mass_kg": 2.4, "method": "braise", "members": 64}), json!({})),
    );
    let opened: Timestamp = "2027-02-06T09:00:00Z".parse().unwrap();
    let at = |minute: i64| opened + jiff::SignedDuration::from_mins(minute);
    let event = |id: u128, minute: i64, happened: Happened| Event {
        id: Uuid::from_u128(id),
        at: at(minute),
        happened,
        device: None,
    };
    let seen = |events: &[Event]| view(&dish, &kitchen, opened, events, &[], at(200)).unwrap();
    let mut events =
        vec![event(1, 60, Happened::OnTheHeat {}), event(2, 180, Happened::Check { found: Check::Slice, by: None })];
    let logged = seen(&events);
    assert_eq!(logged.undo.as_ref().unwrap().name, "the check (slice)");
    assert!(logged.redo.is_none() && logged.log[1].words.contains("slice"));
    events.push(event(3, 190, Happened::Retimed { event: Uuid::from_u128(1), at: at(40) }));
    let moved = seen(&events);
    assert_eq!((moved.heat_on_at, moved.log.len()), (Some(at(40)), 2), "a correction has no line of its own");
    assert!(moved.log[0].corrected && moved.band.ready.p50 < logged.band.ready.p50);
    events.push(event(4, 191, Happened::Undone { event: Uuid::from_u128(2) }));
    let back = seen(&events);
    assert_eq!((back.findings, back.redo.as_ref().unwrap().event), (0, Uuid::from_u128(4)));
    events.push(event(5, 192, Happened::Undone { event: back.redo.unwrap().event }));
    assert_eq!(seen(&events).findings, 1);
    events.push(event(6, 193, Happened::Undone { event: Uuid::from_u128(3) }));
    assert_eq!(seen(&events).heat_on_at, Some(at(60)), "a correction can be taken back");
    let now = logged.now.unwrap();
    assert!(now.until > at(60) && logged.asks.ways[0].finds.len() == 6 && logged.asks.measures);
}
