//! The table of ways: every row complete, and nothing in it that contradicts another column.

use super::*;
use crate::forecast::{ForecastRequest, ResolvedDish};
use crate::heat::pot::{Lid, Simmer};
use crate::kitchen::ThingKind;
use ergastic_words::{Minutes, Units, Voice};
use serde_json::{Value, json};

/// One of each method each way, as a request brings it about.
fn requests() -> Vec<(Method, Value)> {
    let after_a_braise = [Method::Chill, Method::Reheat].map(|method| {
        (method, json!({"stages": [{"method": "braise", "until": {"min": 60}}, {"method": method.key()}]}))
    });
    let by_itself = Method::COMPARED.into_iter().chain([Method::KeepWarm]).flat_map(|method| {
        method.ways().iter().map(move |way| {
            let heat = Heat { source: way.facts().source, ..Heat::default() };
            (method, json!({"method": method.key(), "heat": heat}))
        })
    });
    by_itself.chain(after_a_braise).collect()
}

fn case(mut request: Value) -> ResolvedDish {
    request["cut"] = json!("chuck");
    request["mass_kg"] = json!(1.6);
    let request: ForecastRequest = serde_json::from_value(request).unwrap();
    request.resolve().unwrap()
}

/// Each with the last of its media.
fn media() -> Vec<(Method, Set)> {
    requests().into_iter().map(|(method, request)| (method, case(request).stages.last().unwrap().medium)).collect()
}

#[test]
fn every_way_is_called_something_in_either_kitchen() {
    for (method, medium) in media() {
        for units in [Units::Metric, Units::Us] {
            let voice = Voice::new(units);
            let said = [
                voice.render(medium.way().name()),
                voice.render(medium.way().sentence(100.0, Some(98.0))),
                voice.render(medium.way().for_so_long(Minutes(90.0))),
            ];
            assert!(said.iter().all(|text| text.len() > 5 && !text.contains('…')), "{method:?}: {said:?}");
            let foreign = if units == Units::Us { "°C" } else { "°F" };
            assert!(said.iter().all(|text| !text.contains(foreign)), "{method:?}: {said:?}");
        }
    }
}

#[test]
fn every_way_says_how_it_heats_and_what_its_dial_decides() {
    let voice = Voice::default();
    for (method, medium) in media() {
        let heats = medium.way().how_it_heats(Lid::Loose, 99.0);
        for said in [heats.rule, heats.numbers, heats.sure] {
            assert!(voice.render(said).len() > 5, "{method:?}");
        }
        let has_a_dial = !matches!(method, Method::KeepWarm | Method::Chill | Method::Reheat);
        assert_eq!(medium.way().what_the_dial_decides(Lid::Loose).is_some(), has_a_dial, "{method:?}");
    }
}

#[test]
fn an_open_pot_is_not_told_about_its_lid() {
    let voice = Voice::default();
    for (method, medium) in media() {
        if let Some(said) = medium.way().what_the_dial_decides(Lid::None).map(|said| voice.render(said)) {
            assert!(!said.to_lowercase().contains("lid"), "{method:?}: {said}");
        }
    }
}

#[test]
fn what_is_asked_of_the_kitchen_is_something_it_can_have() {
    let kit: Vec<_> = media().into_iter().map(|(method, medium)| (method, medium.facts().kit)).collect();
    for (method, kit) in &kit {
        // What warms and cools is done with what stands there anyway.
        assert_eq!(kit.is_none(), matches!(method, Method::KeepWarm | Method::Chill | Method::Reheat), "{method:?}");
    }
    for thing in ThingKind::ALL {
        assert_eq!(
            kit.iter().any(|(_, kit)| *kit == Some(thing)),
            thing.heats(),
            "{thing:?} heats as no way asks it to"
        );
    }
}

#[test]
fn a_fire_is_lit_before_it_is_hot_and_what_is_lit_is_seen_to() {
    for (method, medium) in media() {
        let way = medium.facts();
        if way.fire_min > 0.0 {
            assert!(way.preheat_min.is_some_and(|min| min >= way.fire_min), "{method:?}");
        }
        if let Some(tending) = way.tending_by_hand.or(way.tending) {
            assert!(tending.takes_min < tending.every_min, "{method:?} would be nothing but tending");
            assert!(medium.way().burns(1.0).solid_kg > 0.0, "{method:?} has nothing to see to");
        }
    }
}

#[test]
fn looks_and_tending_grow_with_the_hours_and_a_pit_by_hand_takes_more() {
    for (method, medium) in media() {
        let way = medium.facts();
        let (short, long) = (way.looks(60.0), way.looks(600.0));
        assert!((1..=6).contains(&short) && short <= long && long <= 6, "{method:?}: {short}, {long}");
        let minutes = |holds| way.tending_now(holds).map_or(0.0, |tending| tending.takes_min / tending.every_min);
        assert!(minutes(true) <= minutes(false), "{method:?}");
    }
}

#[test]
fn longer_and_hotter_burns_more_and_nothing_burns_less_than_nothing() {
    for (method, medium) in media() {
        let (one, eight) = (medium.way().burns(1.0), medium.way().burns(8.0));
        assert!(one.kwh >= 0.0 && one.solid_kg >= 0.0 && one.kwh + one.solid_kg > 0.0, "{method:?}: {one:?}");
        assert!(eight.kwh >= one.kwh && eight.solid_kg >= one.solid_kg, "{method:?}: {one:?} {eight:?}");
    }
    let oven = |set_c: f64| {
        case(json!({"method": "braise", "heat": {"source": "oven", "set_c": set_c}}))
            .first()
            .medium
            .way()
            .burns(3.0)
            .kwh
    };
    assert!(oven(170.0) > oven(110.0));
}

#[test]
fn what_makes_a_sauce_is_a_pot_or_a_bag_of_juice() {
    for (method, medium) in media() {
        let sauce = medium.facts().makes_sauce;
        assert_eq!(sauce, !matches!(method, Method::Smoke | Method::Confit), "{method:?}");
        assert!(!medium.is_pot() || sauce, "{method:?} leaves its liquid behind");
    }
}

#[test]
fn nothing_is_put_into_what_must_stay_shut() {
    for (method, medium) in media() {
        let shut = matches!(method, Method::Pressure | Method::WaterBath | Method::Confit | Method::Smoke);
        assert_eq!(medium.facts().opens, !shut && (medium.is_pot() || method != Method::Chill), "{method:?}");
    }
}

#[test]
fn every_method_goes_a_way_and_every_way_has_a_method() {
    let all = media();
    for way in WayId::ALL {
        assert!(all.iter().any(|(method, set)| set.id() == way && method.ways().contains(&way)), "{way:?}");
    }
    for (method, set) in &all {
        assert!(method.ways().contains(&set.id()) && method.ways().contains(&method.usual()), "{method:?}");
    }
}

#[test]
fn liquid_is_heated_only_where_it_goes_in_hot() {
    let step = |seared, liquid_start_c| {
        let (what, why) = steps::into_the_pot(&steps::DishFacts { seared, liquid_start_c, ..testing::dish() });
        (testing::said(what), testing::said(why))
    };
    for seared in [true, false] {
        let ((_, hot), (cold_what, cold)) = (step(seared, 60.0), step(seared, 20.0));
        assert!(hot.starts_with("Hot liquid") && cold.contains("cold"), "{hot} / {cold}");
        assert!(!cold_what.contains("hot"), "{cold_what}");
    }
    assert!(step(false, 60.0).0.contains("hot"));
}

#[test]
fn what_a_dish_takes_of_the_kitchen_is_where_the_timetable_has_it() {
    for (method, set) in media() {
        let facts = set.facts();
        let dish = testing::dish();
        let (lane, ..) = set.way().goes_on(Lid::Tight, None, Voice::default());
        let wanted = facts.thing.and_then(|thing| thing.lane());
        assert!(
            wanted.is_none_or(|wanted| wanted == lane),
            "{method:?} takes {:?} and stands at {lane:?}",
            facts.thing
        );
        assert_eq!(set.way().preheat(&dish).is_some(), facts.preheat_min.is_some(), "{method:?}");
        assert_eq!(facts.fire_min > 0.0, facts.getting_hot.is_some(), "{method:?}");
        assert!(facts.look.is_none() || facts.looks(240.0) > 0, "{method:?}");
    }
}

#[test]
fn presets_have_names_of_their_own_and_each_compared_method_a_usual_one() {
    for units in [Units::Metric, Units::Us] {
        let all = presets(units);
        for method in Method::COMPARED {
            let usual = all.iter().filter(|preset| preset.usual && preset.method == method).count();
            assert_eq!(usual, 1, "{method:?}");
        }
        let mut ids: Vec<_> = all.iter().map(|preset| (preset.method.key(), preset.key)).collect();
        let mut beside: Vec<_> = all.iter().filter_map(|preset| preset.beside).collect();
        beside.extend(chains::chains(units, true).iter().map(|chain| chain.key));
        for names in [ids.len(), beside.len()].into_iter().zip([
            {
                ids.sort_unstable();
                ids.dedup();
                ids.len()
            },
            {
                beside.sort_unstable();
                beside.dedup();
                beside.len()
            },
        ]) {
            assert_eq!(names.0, names.1);
        }
        for preset in all {
            let asked = json!({"method": preset.method, "heat": preset.heat});
            assert!(preset.method.ways().contains(&case(asked).first().medium.id()), "{}", preset.key);
        }
    }
}

#[test]
fn a_dial_stands_where_it_was_set_and_may_be_turned_only_within_its_bounds() {
    for (method, set) in media() {
        let asked = set.way().asked(Heat::default());
        let again = case(json!({"method": method, "heat": asked}));
        if !matches!(method, Method::Chill | Method::Reheat) {
            assert_eq!(again.first().medium.id(), set.id(), "{method:?}");
        }
        if let Some(dial) = set.way().dial() {
            assert!(dial.bounds.check(dial.celsius).is_ok(), "{method:?}");
            for up in [true, false] {
                let Some((_, turned)) = set.way().turned(up) else { continue };
                let turned = turned.over(&asked);
                assert!(!turned.same_dial(&asked), "{method:?}");
                let to = case(json!({"method": method, "heat": turned})).first().medium.way().dial().unwrap();
                assert_eq!(to.celsius > dial.celsius, up, "{method:?}");
            }
        }
    }
}

#[test]
fn a_field_belongs_to_one_way_and_is_refused_by_every_other() {
    let fields = [
        ("set_c", json!(150)),
        ("simmer", json!("lazy")),
        ("under", json!(8)),
        ("level", json!("low")),
        ("pit_c", json!(120)),
        ("fat_c", json!(90)),
        ("setting", json!("low")),
        ("bath_c", json!(75)),
        ("at_c", json!(70)),
        ("to_c", json!(75)),
    ];
    for (method, request) in requests().into_iter().filter(|(_, request)| request.get("stages").is_none()) {
        let way = case(request).first().medium.id();
        for (name, value) in &fields {
            let heat: Heat = serde_json::from_value(json!({*name: value})).unwrap();
            let source = way.facts().source;
            let found = Heat { source, ..heat }.way(method);
            match found {
                Ok(found) => assert_eq!(found, way, "{method:?} with {name}"),
                Err(error) => assert_eq!(error.field, format!("heat.{name}"), "{method:?}"),
            }
        }
    }
}

#[test]
fn a_change_is_laid_over_what_was_and_another_source_takes_nothing_along() {
    let before = Heat { fan: Some(true), ..Heat::oven(150.0) };
    let hotter = Heat { set_c: Some(170.0), ..Heat::default() };
    assert_eq!(hotter.over(&before), Heat { set_c: Some(170.0), ..before.clone() });
    assert_eq!(Heat::hob(Simmer::Lazy).over(&before), Heat::hob(Simmer::Lazy));
}
