//! The live hours: what is changed by hand, what a probe says and may not say, what rings, and what could be done now.

use ergastic_core::clock::{minutes_between, plus_minutes};
use ergastic_core::cook::{
    CookView, Event, Happened, OnTheHeat, ProbeIn, Sound, Trace, Trust, gone_wrong, hand_over, in_their_order, view,
    what_if,
};
use ergastic_core::forecast::{Found, Heat, Wrap};
use ergastic_core::heat::pit::WrapMaterial;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::tender::Check;
use ergastic_core::ways::Method;
use ergastic_words::Voice;
use serde_json::json;
use uuid::Uuid;

use crate::cook::Cook;

fn oven() -> Cook {
    Cook::of(&json!({"cut": "chuck", "mass_kg": 1.8, "method": "braise", "heat": {"source": "oven", "set_c": 150},
        "liquid_l": 1.0, "members": 300}))
}

fn pit() -> Cook {
    Cook::of(&json!({"cut": "plate_rib", "mass_kg": 2.4, "method": "smoke", "heat": {"pit_c": 120}, "members": 200}))
}

/// Half of such pieces are tender, minutes after they met the heat.
fn half_tender(cook: &Cook, minute: f64) -> f64 {
    cook.band(minute)[1]
}

/// A probe in the middle that reads what the median cook has, and what is made of that from a minute on.
fn probed(cook: Cook, until: i32, other: impl Fn(f64, f64) -> f64) -> Cook {
    probed_ahead(cook, until, 0.0, other)
}

/// The same of a middle that is so many minutes ahead.
fn probed_ahead(mut cook: Cook, until: i32, ahead: f64, other: impl Fn(f64, f64) -> f64) -> Cook {
    let course = cook.view(30.0).course;
    let from = cook.from;
    let core = |minute: f64| {
        let after = course.iter().position(|point| minutes_between(from, point.at) >= minute).unwrap().max(1);
        let (a, b) = (&course[after - 1], &course[after]);
        let (start, end) = (minutes_between(from, a.at), minutes_between(from, b.at));
        a.core_c[1] + (minute - start) / (end - start) * (b.core_c[1] - a.core_c[1])
    };
    cook.probe(ProbeIn::Meat, (0..=until).map(f64::from).map(|m| (m, other(m, core(m + ahead)))));
    cook
}

fn changed(heat: Heat) -> Happened {
    Happened::Changed { method: None, heat: Some(Box::new(heat)), lid: None, halved: false }
}

#[test]
fn what_is_changed_by_hand_moves_the_band_as_it_would_the_meat() {
    let as_planned = half_tender(&pit(), 60.0);
    let hotter = changed(Heat { pit_c: Some(145.0), ..Heat::default() });
    let wrap = Wrap { material: WrapMaterial::Foil, at_core_c: Some(0.0) };
    let wrapped = changed(Heat { wrap: Some(wrap), ..Heat::default() });
    let halved = Happened::Changed { method: None, heat: None, lid: None, halved: true };
    for (what, happened, by) in [("hotter", hotter, 30.0), ("wrapped", wrapped, 20.0), ("halved", halved, 5.0)] {
        let half = half_tender(&pit().with(50.0, happened), 60.0);
        assert!(half < as_planned - by, "{what}: {half} against {as_planned}");
    }
    let opened = half_tender(&pit().with(50.0, Happened::Opened { min: 20.0 }), 90.0);
    assert!(opened > as_planned + 2.0, "{opened} against {as_planned}");
    let out = pit().with(50.0, Happened::HeatOff {}).with(110.0, Happened::HeatOn {});
    assert!(half_tender(&out, 120.0) > as_planned + 20.0, "{} against {as_planned}", half_tender(&out, 120.0));
}

#[test]
fn a_pot_without_heat_cools_softens_less_and_goes_on_where_it_stood() {
    let as_planned = half_tender(&oven(), 60.0);
    let off = oven().with(60.0, Happened::HeatOff {});
    let seen = off.view(75.0);
    assert_eq!(seen.heat_off_since, Some(off.at(60.0)));
    let back = off.with(120.0, Happened::HeatOn {});
    let half = half_tender(&back, 125.0);
    assert!(half > as_planned + 8.0 && half < as_planned + 75.0, "{half} against {as_planned}");
    assert_eq!(back.view(125.0).heat_off_since, None);
    // Taken back, nothing of it is left.
    let undone = back.with(126.0, Happened::Undone { event: Uuid::from_u128(2) });
    assert!((half_tender(&undone, 126.0) - as_planned).abs() < 1.0, "{}", half_tender(&undone, 126.0));
}

#[test]
fn an_hour_in_two_stages_by_hand_is_the_hour() {
    let same = changed(Heat { set_c: Some(150.0), ..Heat::default() });
    let (cut, whole) = (half_tender(&oven().with(60.0, same), 70.0), half_tender(&oven(), 70.0));
    assert!((cut - whole).abs() < 1.0, "{cut} {whole}");
}

#[test]
fn a_probe_in_the_middle_narrows_the_band_and_says_how_it_stands() {
    let cook = probed_ahead(oven(), 70, 12.0, |_, core| core);
    let seen = cook.view(70.5);
    let probe = &seen.probes[0];
    assert_eq!((probe.trust, probe.into, seen.findings), (Trust::Steady, ProbeIn::Meat, 1));
    assert!(probe.points.len() > 50 && probe.points.iter().skip(3).all(|point| point.believed), "{probe:?}");
    let moved = &seen.moved[0];
    assert!(moved.found == Found::Middle && moved.min < 0.0 && moved.words.contains("ahead"), "{moved:?}");
}

#[test]
fn a_probe_that_is_not_in_the_middle_moves_nothing() {
    let plain = half_tender(&oven(), 65.0);
    type Strange = fn(f64, f64) -> f64;
    let strange: [(Trust, Strange); 4] = [
        (Trust::PulledOut, |m, core| if m < 40.0 { core } else { 24.0 }),
        (Trust::WrongPlace, |m, core| if m < 20.0 { core } else { 99.5 }),
        (Trust::Jumped, |m, core| if m < 55.0 { core } else { core + 18.0 }),
        (Trust::Drifts, |m, core| if m < 40.0 { core } else { core + 1.6 * (m - 40.0) }),
    ];
    for (trust, other) in strange {
        let with = probed(oven(), 65, other);
        let seen = with.view(65.5);
        let probe = &seen.probes[0];
        assert!(probe.trust.is_strange(), "{trust:?} is {:?}: {}", probe.trust, probe.words);
        assert!(!probe.points.last().unwrap().believed);
        let ringing = seen.alarms.iter().find(|alarm| alarm.sound == Sound::Trouble).unwrap();
        assert!(ringing.words.contains("galley") && ringing.rings_at <= with.at(65.5), "{ringing:?}");
        if trust != Trust::Drifts {
            assert_eq!(probe.trust, trust, "{}", probe.words);
            assert!(
                (half_tender(&with, 65.5) - plain).abs() < 25.0,
                "{trust:?}: {} against {plain}",
                half_tender(&with, 65.5)
            );
        }
    }
}

#[test]
fn a_silent_probe_is_said_to_be_silent_and_one_put_back_is_believed_again() {
    let silent = probed(oven(), 40, |_, core| core);
    assert_eq!(silent.view(50.0).probes[0].trust, Trust::Silent);
    let mut back = probed(oven(), 90, |m, core| if (40.0..60.0).contains(&m) { 22.0 } else { core });
    assert_eq!(back.view(59.0).probes[0].trust, Trust::PulledOut);
    back.happened(61.0, Happened::ProbePut { probe: "galley".into(), into: ProbeIn::Meat });
    let seen = back.view(90.0);
    assert_eq!((seen.probes.len(), seen.probes[0].trust), (1, Trust::Steady), "{}", seen.probes[0].words);
}

#[test]
fn a_fire_that_dies_in_the_night_wakes_whoever_sleeps_beside_it() {
    let mut pit = pit().with(0.0, Happened::ProbePut { probe: "Pit air".into(), into: ProbeIn::Air });
    let air = |minute: f64| if minute < 100.0 { 120.0 } else { 120.0 - 1.5 * (minute - 100.0) };
    let readings = (0..140).map(f64::from).map(|minute| (pit.at(minute), air(minute))).collect();
    pit.traces = vec![Trace { probe: "Pit air".into(), readings }];
    let rings = |minute: f64| {
        let seen = pit.until(minute).view(minute);
        seen.alarms.into_iter().find(|alarm| alarm.id.starts_with("heat:")).map(|alarm| alarm.words)
    };
    assert_eq!((rings(99.0), rings(115.0)), (None, None), "an open lid is no dead fire");
    let words = rings(130.0).expect("it rings");
    assert!(words.contains("under what was set"), "{words}");
}

#[test]
fn a_probe_that_comes_out_with_the_lifted_meat_wakes_nobody() {
    let cook = probed(oven(), 240, |m, core| if m < 200.0 { core } else { 22.0 });
    let cook = cook.with(198.0, Happened::Check { found: Check::Fork, by: None });
    assert!(
        cook.view(215.0).alarms.iter().any(|alarm| alarm.sound == Sound::Trouble),
        "it fell out of meat that cooks"
    );
    let lifted = cook.with(199.0, Happened::TaskDone { task: "lift".into() });
    assert!(lifted.view(215.0).alarms.iter().all(|alarm| alarm.sound != Sound::Trouble));
}

#[test]
fn a_mixed_pot_says_what_comes_out_first() {
    let mixed = json!({"parts": [{"cut": "shin", "mass_kg": 1.0, "pieces": 1, "size_mm": [70, 90, 120]},
        {"cut": "skirt", "mass_kg": 0.5, "pieces": 12, "size_mm": [25, 30, 40]}], "method": "braise", "members": 100});
    let out = Cook::of(&mixed).view(30.0).lift_out;
    assert!(out.len() == 2 && out[0].order < out[1].order && out[0].p50 < out[1].p50, "{out:?}");
    assert!(out[0].words.to_lowercase().starts_with("skirt"), "{}", out[0].words);
}

#[test]
fn the_best_look_narrows_the_band_and_says_what_it_costs() {
    let cook = oven();
    let seen = cook.view(60.0);
    let look = seen.look.as_ref().unwrap();
    assert!(look.at > cook.at(60.0) && look.to_min < 0.85 * look.from_min, "{look:?}");
    // Found to be in the middle of what is expected, the band is about as narrow as was said.
    let minute = minutes_between(cook.from, look.at);
    let narrow: Vec<f64> = [Check::Slice, Check::Fork, Check::Firm]
        .map(|found| {
            let seen = oven().with(minute, Happened::Check { found, by: None }).view(minute);
            minutes_between(seen.band.ready.p10.unwrap(), seen.band.ready.p90.unwrap())
        })
        .into();
    let least = narrow.iter().copied().fold(f64::INFINITY, f64::min);
    let most = narrow.iter().copied().fold(0.0, f64::max);
    assert!((0.6 * least..=1.4 * most).contains(&look.to_min), "{narrow:?} {look:?}");
}

#[test]
fn an_alarm_rings_until_it_is_heard_and_later_is_later() {
    let mut cook = oven();
    let look = |seen: &CookView| seen.alarms.iter().find(|alarm| alarm.sound == Sound::Look).unwrap().clone();
    let due = look(&cook.view(60.0));
    let minute = minutes_between(cook.from, due.at);
    assert!(minute > 60.0 && !due.heard && due.later.len() == 3);
    let put_off = due.later[1].happened.clone().unwrap();
    cook.happened(minute, put_off);
    let later = look(&cook.view(minute + 1.0));
    assert_eq!(later.rings_at, plus_minutes(cook.at(minute), 10.0));
    cook.happened(minute + 10.0, later.hear.happened.clone().unwrap());
    assert!(look(&cook.view(minute + 11.0)).heard);
    // Found, it is done: nothing of it rings any more.
    cook.happened(minute + 12.0, Happened::Check { found: Check::Firm, by: None });
    assert!(cook.view(minute + 12.0).alarms.iter().all(|alarm| alarm.id != due.id));
}

#[test]
fn each_thing_that_could_be_done_now_leads_where_it_says() {
    for cook in [oven(), pit()] {
        let minute = 90.0;
        let opened = plus_minutes(cook.from, -120.0);
        let now = cook.at(minute);
        let found = what_if(&cook.plan, &Kitchen::default(), opened, &cook.events, &[], now).unwrap();
        let ids: Vec<&str> = found.choices.iter().map(|choice| choice.id.as_str()).collect();
        for wanted in ["hotter", "cooler", "hold"] {
            assert!(ids.contains(&wanted), "{ids:?}");
        }
        for choice in &found.choices {
            let mut events = cook.events.clone();
            events.push(Event {
                id: Uuid::from_u128(99),
                at: now,
                happened: choice.happened.clone().unwrap(),
                device: None,
            });
            let seen = view(&cook.plan, &Kitchen::default(), opened, &events, &[], now).unwrap();
            let (said, is) = (choice.band.ready.p50, seen.band.ready.p50);
            match said.zip(is) {
                Some((said, is)) => assert!(
                    minutes_between(said, is).abs() < f64::max(12.0, 0.1 * minutes_between(cook.from, is)),
                    "{}: {said} {is}",
                    choice.id
                ),
                None => assert_eq!(said, is, "{}", choice.id),
            }
            assert!(!choice.cost.is_empty() && choice.words.len() > 4, "{choice:?}");
        }
        let p50 = |id: &str| found.choices.iter().find(|choice| choice.id == id).unwrap().band.ready.p50;
        // In a covered pot that boils anyway the dial only decides how much water leaves.
        let [hotter, cooler] = ["hotter", "cooler"].map(p50);
        assert!(cooler.is_none() || hotter.zip(cooler).is_some_and(|(hot, cool)| minutes_between(cool, hot) < 1.0));
    }
}

#[test]
fn what_goes_wrong_is_answered_from_this_pot_and_the_likely_comes_first() {
    let cook = oven();
    let opened = plus_minutes(cook.from, -120.0);
    let at = |minute: f64, events: &[Event]| {
        gone_wrong(&cook.plan, &Kitchen::default(), opened, events, &[], cook.at(minute)).unwrap()
    };
    let all = at(60.0, &cook.events);
    for id in ["not_tender", "early", "dry", "power", "lid_off", "scorched", "over_salted", "kept_warm"] {
        let told = all.iter().find(|told| told.id == id).unwrap_or_else(|| panic!("{id}"));
        assert!(told.first.len() > 20 && told.then.len() > 20, "{told:?}");
    }
    let power = all.iter().find(|told| told.id == "power").unwrap();
    assert!(power.cautions[0].text.contains("forecast"), "{power:?}");
    let early = cook.events.iter().cloned().chain([Event {
        id: Uuid::from_u128(50),
        at: cook.at(100.0),
        happened: Happened::Check { found: Check::Fork, by: None },
        device: None,
    }]);
    assert_eq!(at(105.0, &early.collect::<Vec<_>>())[0].id, "early");
    let held = Happened::Changed { method: Some(Method::KeepWarm), heat: None, lid: None, halved: false };
    let held = cook.events.iter().cloned().chain([Event {
        id: Uuid::from_u128(51),
        at: cook.at(60.0),
        happened: held,
        device: None,
    }]);
    assert!(at(80.0, &held.collect::<Vec<_>>()).iter().any(|told| told.id == "kept_warm" && told.likely));
}

#[test]
fn one_left_open_asks_for_nothing_and_costs_nothing_until_somebody_tells_of_it() {
    // Its bell is at 300 min; twelve hours after that it is left.
    let mut cook = probed(oven(), 200, |_, core| core);
    let followed = cook.view(1000.0);
    assert!(followed.left_open_since.is_none() && followed.now.is_some() && !followed.alarms.is_empty());
    let left = cook.view(1025.0);
    assert_eq!(left.left_open_since, Some(cook.at(0.0)));
    assert!(left.now.is_none() && left.next_task.is_none() && left.alarms.is_empty());
    assert!(left.words.contains("since Sat 12:00"), "{}", left.words);
    let opened = cook.at(-120.0);
    let could = what_if(&cook.plan, &Kitchen::default(), opened, &cook.events, &cook.traces, cook.at(1025.0)).unwrap();
    assert!(could.choices.is_empty(), "{could:?}");
    // A week later it stands as it stood, whatever its probe has read in the drawer.
    let drawer: Vec<_> = (1021..1400).map(|minute| (cook.at(f64::from(minute)), 19.0)).collect();
    cook.traces[0].readings.extend(drawer);
    let later = cook.view(7.0 * 1440.0);
    assert!(later.words.contains("since Sat 6 Feb 12:00"), "{}", later.words);
    assert_eq!(CookView { words: left.words.clone(), ..later }, left);
    let (zone, now) = (jiff::tz::TimeZone::UTC, cook.at(1025.0));
    let on_the_heat = |view| OnTheHeat::of(Uuid::nil(), "Chuck", 6, view, now, &zone, Voice::default());
    let mut dishes = [on_the_heat(&left), on_the_heat(&followed)];
    dishes.sort_by_key(in_their_order);
    assert!(dishes[0].left_open_since.is_none() && dishes[1].from.is_none() && dishes[1].late_min == 0.0);
    // Told of again it is followed again.
    let again = cook.with(7.0 * 1440.0, Happened::Check { found: Check::Pull, by: None }).view(7.0 * 1440.0 + 1.0);
    assert!(again.left_open_since.is_none() && again.now.is_some());
}

#[test]
fn a_hand_over_has_ten_lines_at_the_most_and_names_every_dish() {
    let zone = jiff::tz::TimeZone::UTC;
    let seen = oven().with(60.0, Happened::Check { found: Check::Firm, by: None }).view(70.0);
    let now = "2027-02-06T13:10:00Z".parse().unwrap();
    for count in [0, 1, 2, 3, 6, 9] {
        let dishes: Vec<OnTheHeat> = (0..count)
            .map(|i| OnTheHeat::of(Uuid::from_u128(i), &format!("Dish {i}"), 6, &seen, now, &zone, Voice::default()))
            .collect();
        let lines = hand_over(&dishes, now, &zone, Voice::default());
        assert!(lines.len() <= 10 && lines.iter().all(|line| line.len() > 10), "{lines:?}");
        for dish in &dishes {
            assert!(lines.iter().any(|line| line.contains(&dish.name)), "{lines:?}");
        }
    }
    let lines = OnTheHeat::of(Uuid::nil(), "Ice-road chuck", 6, &seen, now, &zone, Voice::default()).lines;
    insta::assert_snapshot!(lines.join("\n"));
}
