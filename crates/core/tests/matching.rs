//! Which way for this cut, and which cut for this way.

use ergastic_core::bench::Sear;
use ergastic_core::clock::{Hours, minutes_between, plus_minutes};
use ergastic_core::cuts::{Cut, EatenAs};
use ergastic_core::forecast::forecast;
use ergastic_core::kitchen::Lane;
use ergastic_core::kitchen::{Kitchen, ThingKind};
use ergastic_core::matching::{Buy, Choice, MatchRequest, Matched, Sort, Verdict, match_ways, overview};
use ergastic_core::sheet::{TaskId, work_back};
use ergastic_core::tender::Age;
use ergastic_core::ways::{Method, Start, presets};
use ergastic_words::Units;
use jiff::Timestamp;
use proptest::prelude::*;

fn asked(json: serde_json::Value) -> Matched {
    let request: MatchRequest = serde_json::from_value(json).unwrap();
    match_ways(&request, &Kitchen::default(), Timestamp::UNIX_EPOCH).unwrap()
}

fn refused(json: serde_json::Value) -> String {
    let request: MatchRequest = serde_json::from_value(json).unwrap();
    match_ways(&request, &Kitchen::default(), Timestamp::UNIX_EPOCH).unwrap_err().field
}

/// Every choice of an answer, the best ones first.
fn choices(matched: &Matched) -> Vec<&Choice> {
    let ways = matched.ways.iter().flat_map(|way| std::iter::once(&way.best).chain(&way.variants));
    ways.chain(&matched.two_stage).collect()
}

fn way(matched: &Matched, method: Method) -> &Choice {
    &matched.ways.iter().find(|way| way.best.method == method).unwrap().best
}

#[test]
fn the_answer_reads_as_a_cook_would_weigh_it() {
    let matched = asked(serde_json::json!({
        "cut": "shin", "mass_kg": 2.4, "people": 8, "now": "2027-02-06T08:00", "serve_at": "2027-02-06T16:30",
        "price_per_kg": 12.0,
    }));
    let mut lines = format!("{}\n", matched.sort_rule);
    for way in &matched.ways {
        let Choice { name, verdict, chance_ready, hands_on_min, grams_a_head, sauce_body, .. } = &way.best;
        lines += &format!(
            "{name}: {verdict:?}, {:.0} in 100, {:.0} min at work, {:.0} g a head, {sauce_body}\n",
            chance_ready * 100.0,
            (hands_on_min / 5.0).round() * 5.0,
            (grams_a_head / 10.0).round() * 10.0,
        );
        for other in &way.variants {
            lines += &format!("    {}: {}\n", other.name, other.trade);
        }
    }
    let ask = matched.ask.as_ref().unwrap();
    lines += &format!("? {} ({})\n", ask.question, ask.field);
    for other in &matched.substitutes {
        lines += &format!("or {}: {}\n", other.name, other.why);
    }
    insta::assert_snapshot!(lines);
}

#[test]
fn what_fits_comes_first_and_each_method_once() {
    let request = serde_json::json!({
        "cut": "shin", "mass_kg": 1.9, "eaten_as": "fork", "now": "2027-02-06T12:00", "serve_at": "2027-02-06T16:50",
    });
    let matched = asked(request.clone());
    let methods: std::collections::BTreeSet<&str> = matched.ways.iter().map(|way| way.best.method.key()).collect();
    let offered: std::collections::BTreeSet<&str> =
        presets(Units::Metric).iter().map(|preset| preset.method.key()).collect();
    assert_eq!((&methods, matched.ways.len()), (&offered, offered.len()));
    assert!(matched.ways.windows(2).all(|pair| pair[0].best.verdict <= pair[1].best.verdict));
    assert_eq!(way(&matched, Method::WaterBath).verdict, Verdict::TooLate, "a bath can't make it");
    for choice in choices(&matched) {
        assert_eq!(choice.verdict == Verdict::Fits, choice.chance_ready >= 0.9, "{}", choice.id);
        assert!(choice.verdict != Verdict::Fits || choice.start_by.unwrap() >= plus_minutes(matched.now, -10.0));
        assert!((choice.portions - choice.yield_kg / 0.165).abs() < 1e-9);
        assert!(!choice.why.is_empty() && choice.cost_per_portion.is_none());
    }
    for (field, value) in [
        ("serve_at", serde_json::json!("later")),
        ("mass_kg", serde_json::json!(-2.0)),
        ("zone", serde_json::json!("Lake/North")),
        ("kit", serde_json::json!([])),
        ("portion_g", serde_json::json!(5.0)),
        ("away", serde_json::json!([["noon", "13:00"]])),
        ("recipe", serde_json::json!("until it is done")),
    ] {
        let mut wrong = request.clone();
        wrong[field] = value;
        assert!(refused(wrong).starts_with(field), "{field}");
    }
    assert_eq!(refused(serde_json::json!({})), "cut");
}

#[test]
fn a_choice_is_what_its_plan_really_does() {
    let matched = asked(serde_json::json!({
        "cut": "chuck", "mass_kg": 1.6, "thickness_mm": 75, "now": "2027-02-05T09:00", "serve_at": "2027-02-06T19:00",
    }));
    assert!(matched.two_stage.iter().any(|choice| choice.id == "two.day_before"));
    for choice in choices(&matched).into_iter().filter(|choice| choice.verdict == Verdict::Fits) {
        let sheet = work_back(&choice.plan, &Kitchen::default(), matched.now).unwrap();
        assert_eq!(sheet.late_min, 0.0, "{}", choice.id);
        // A cap of fat a hair deeper takes a minute more to skim.
        assert!((sheet.finishing_min - choice.finishing_min).abs() <= 1.0, "{}", choice.id);
        // The sheet's thousand cooks say what the match's few dozen did.
        let met = sheet.heat_on_at;
        let by_match = plus_minutes(choice.start_by.unwrap(), choice.lead_min);
        let apart = minutes_between(met, by_match).abs();
        assert!(apart < 0.06 * choice.ready_min.p90.unwrap() + 10.0, "{}: {apart} min", choice.id);
    }
}

#[test]
fn a_dish_of_the_day_before_is_warm_for_the_bell_and_chilled_before_bed() {
    let matched = asked(serde_json::json!({
        "cut": "shin", "mass_kg": 2.4, "now": "2027-02-05T09:00", "serve_at": "2027-02-06T19:00",
        "asleep": [["22:30", "06:00"]],
    }));
    let day_before = matched.two_stage.iter().find(|choice| choice.id == "two.day_before").unwrap();
    let start = day_before.start_by.unwrap();
    assert!(minutes_between(start, matched.serve_at) > 18.0 * 60.0, "{start}");
    let tender_at = plus_minutes(start, day_before.lead_min + day_before.ready_min.p50.unwrap());
    assert!((0.0..120.0).contains(&minutes_between(tender_at, day_before.lift_at)), "{tender_at}");
    assert!(day_before.cautions.iter().any(|caution| caution.id == "cooling"), "{:?}", day_before.cautions);
    let sheet = work_back(&day_before.plan, &Kitchen::default(), matched.now).unwrap();
    let moves: Vec<_> = sheet.tasks.iter().filter(|task| matches!(task.id, TaskId::Move(_))).collect();
    assert_eq!(moves.len(), 2, "off the heat, and back to it");
}

#[test]
fn the_kit_and_how_it_is_eaten_rule_out_ways_with_the_reason() {
    let matched = asked(serde_json::json!({
        "cut": "chuck", "eaten_as": "slice", "kit": ["hob", "pit"], "now": "2027-02-05T09:00", "serve_at": "2027-02-05T19:00",
    }));
    assert_eq!(way(&matched, Method::Braise).plan.forecast.heat.as_ref().unwrap().set_c, None, "no oven, so the hob");
    let stew = way(&matched, Method::Stew);
    assert_eq!(stew.verdict, Verdict::Unsuitable);
    assert!(stew.why.contains("not slices"));
    let pressed = way(&matched, Method::Pressure);
    assert!(pressed.verdict == Verdict::Unsuitable && pressed.why.contains("pressure pot is not free"));
    let much = asked(serde_json::json!({"cut": "chuck", "mass_kg": 9.0, "kit": ["pressure_pot"]}));
    assert!(way(&much, Method::Pressure).why.contains("loads"), "{}", way(&much, Method::Pressure).why);
}

#[test]
fn hours_asleep_and_away_move_the_start_and_are_said_where_they_clash() {
    let night = asked(serde_json::json!({
        "cut": "brisket", "mass_kg": 5.5, "now": "2027-02-05T09:00", "serve_at": "2027-02-06T12:30",
        "asleep": [["22:30", "06:30"]], "kit": ["pit", "coals", "oven", "hob"],
    }));
    let asleep = |at: Timestamp| {
        let hour = at.to_zoned_datetime(jiff::tz::TimeZone::UTC);
        (hour.hour(), hour.minute()) >= (22, 30) || (hour.hour(), hour.minute()) < (6, 30)
    };
    for choice in choices(&night) {
        let start = choice.start_by.unwrap();
        assert!(!asleep(start) && !asleep(plus_minutes(start, choice.lead_min - 1.0)), "{} at {start}", choice.id);
    }
    let tended = {
        let mut kitchen = Kitchen::default();
        kitchen.pits[0].measures.holds_itself = false;
        kitchen
    };
    let request = MatchRequest {
        cut: Some(Cut::Brisket),
        mass_kg: Some(5.5),
        now: Some("2027-02-05T09:00".into()),
        serve_at: Some("2027-02-06T12:30".into()),
        asleep: Some(vec![Hours("22:30".into(), "06:30".into())]),
        ..Default::default()
    };
    let matched = match_ways(&request, &tended, Timestamp::UNIX_EPOCH).unwrap();
    let pit = way(&matched, Method::Smoke);
    assert!(pit.clashes.iter().any(|clash| clash.contains("while everyone sleeps")), "{:?}", pit.clashes);
    assert_ne!(matched.ways[0].best.method, Method::Smoke, "a fire that wants tending at night does not come first");
}

#[test]
fn each_rule_puts_its_own_first() {
    let sorted = |sort: &str| {
        asked(serde_json::json!({
            "cut": "shin", "now": "2027-02-05T06:00", "serve_at": "2027-02-06T19:00", "sort": sort, "price_per_kg": 10.0,
        }))
    };
    let fits = |matched: &Matched, of: fn(&Choice) -> f64| -> Vec<f64> {
        let fitting =
            matched.ways.iter().filter(|way| way.best.verdict == Verdict::Fits && way.best.clashes.is_empty());
        fitting.map(|way| of(&way.best)).collect()
    };
    let ascends = |values: Vec<f64>| values.len() > 3 && values.windows(2).all(|pair| pair[0] <= pair[1] + 0.011);
    assert!(ascends(fits(&sorted("least_work"), |choice| choice.hands_on_min)));
    assert!(ascends(fits(&sorted("most_juice"), |choice| -choice.yield_kg)));
    assert!(ascends(fits(&sorted("richest_sauce"), |choice| -choice.body_pct)));
    assert!(ascends(fits(&sorted("cheapest"), |choice| choice.cost_per_portion.unwrap())));
    let soonest = sorted("soonest");
    assert_eq!((soonest.sort, soonest.ways[0].best.method), (Sort::Soonest, Method::Pressure));
}

#[test]
fn the_question_is_the_one_that_narrows_most_and_is_not_asked_twice() {
    let ask = |json| asked(json).ask.map(|ask| ask.field);
    assert_eq!(ask(serde_json::json!({"cut": "shin", "mass_kg": 2.4})).as_deref(), Some("thickness_mm"));
    assert_eq!(ask(serde_json::json!({"cut": "stewing_mix"})).as_deref(), Some("cut"));
    let thick = serde_json::json!({"cut": "shin", "mass_kg": 2.4, "thickness_mm": 65});
    assert_eq!(ask(thick.clone()).as_deref(), Some("age"));
    let mut known = thick;
    known["age"] = "young".into();
    assert_eq!(ask(known), None);
    // What is promised is what comes of it.
    let wide = asked(serde_json::json!({"cut": "chuck", "members": 512}));
    let narrow = asked(serde_json::json!({"cut": "chuck", "members": 512, "thickness_mm": 70}));
    let width = |matched: &Matched| {
        let ready = choices(matched).into_iter().find(|choice| choice.id == "braise.oven_150.whole").unwrap().ready_min;
        ready.p90.unwrap() - ready.p10.unwrap()
    };
    let promised = wide.ask.as_ref().unwrap();
    assert_eq!(promised.field, "thickness_mm");
    let came = width(&wide) - width(&narrow);
    assert!((came - promised.narrows_min).abs() < 0.35 * came + 3.0, "{came} against {}", promised.narrows_min);
}

#[test]
fn recipes_are_checked_before_they_are_cooked() {
    let check = |cut: &str, eaten: &str, recipe: &str| {
        asked(serde_json::json!({"cut": cut, "mass_kg": 1.4, "eaten_as": eaten, "recipe": recipe})).recipe.unwrap()
    };
    let short = check("shin", "fork", "35 min at high pressure");
    assert!(short.not_yet > 0.9 && short.words.starts_with("Too short"), "{}", short.words);
    let right = check("chuck", "fork", "3½ h at 150 °C");
    assert!(right.chance > 0.8 && right.words.starts_with("That should do"), "{}", right.words);
    let long = check("topside", "slice", "13 hours on low in the slow cooker");
    assert!(long.overcooked > 0.8 && long.words.starts_with("Too long"), "{}", long.words);
    // Each guess can be changed, and changing it changes where it lands.
    let guessed = check("chuck", "fork", "2 to 3 h in a low oven, uncovered at the end for half an hour");
    assert_eq!(guessed.understood.stages.len(), 2);
    let guess = guessed.understood.guesses.iter().find(|guess| guess.instead.len() == 2).unwrap();
    let longer = check("chuck", "fork", &guess.instead[1].recipe);
    assert!(longer.min > guessed.min + 15.0 && longer.not_yet < guessed.not_yet, "{guess:?}");
    for checked in [&short, &right, &long] {
        let lands = checked.lands;
        let all = lands.not_done + lands.slice + lands.fork + lands.probe + lands.pull + lands.spoon;
        assert!((all - 1.0).abs() < 1e-4 && (checked.chance + checked.not_yet + checked.overcooked - 1.0).abs() < 1e-4);
        assert!(checked.tenderness[0] <= checked.tenderness[1] && checked.tenderness[1] <= checked.tenderness[2]);
    }
    // The equivalents are as soft as the recipe: on the hob that is longer than under pressure.
    let hob = right.equivalents.iter().find(|other| other.id == "braise.hob.whole").unwrap();
    let pressed = right.equivalents.iter().find(|other| other.method == Method::Pressure).unwrap();
    assert!(hob.min > right.min && pressed.min < right.min && pressed.at_pressure_min.unwrap() < pressed.min);
    // And the forecast behind it says the same.
    let again = forecast(&right.request).unwrap();
    let within = again.ready_min.p50.unwrap() <= right.min;
    assert!(within && again.stages.len() == 1);
}

#[test]
fn a_way_and_a_table_say_what_to_buy() {
    let bought = |json| asked(json).buy;
    let pulled = bought(serde_json::json!({
        "method": "braise", "eaten_as": "pull", "people": 8, "prices": {"chuck": 11.0, "shin": 9.0, "oxtail": 14.0},
        "now": "2027-02-05T09:00", "serve_at": "2027-02-06T19:00",
    }));
    assert!(pulled.len() > 15 && pulled.windows(2).all(|pair| pair[0].verdict <= pair[1].verdict));
    let of = |cut: Cut| pulled.iter().find(|buy| buy.cut == cut).unwrap();
    assert!((of(Cut::Shin).cost.unwrap() - 9.0 * of(Cut::Shin).mass_kg).abs() < 0.01);
    assert!(of(Cut::Oxtail).mass_kg > 1.2 * of(Cut::Chuck).mass_kg, "bone is paid for");
    assert_eq!(of(Cut::Cheek).cost, None);
    for buy in pulled.iter().filter(|buy| buy.cut.facts().bone_pct < 10.0) {
        let plates = buy.yield_kg / 0.165;
        assert!((7.9..9.2).contains(&plates), "{}: {plates}", buy.name);
    }
    let sliced = bought(serde_json::json!({"method": "braise", "eaten_as": "slice", "people": 4}));
    assert!(sliced.iter().all(|buy| !matches!(buy.cut, Cut::Oxtail | Cut::StewingMix | Cut::Tendon)));
    assert!(bought(serde_json::json!({"method": "stew", "eaten_as": "slice"})).is_empty());
    assert_eq!(refused(serde_json::json!({"method": "chill"})), "method");
}

#[test]
fn mixed_pots_frozen_meat_and_two_dinners_are_answered() {
    let mixed = asked(serde_json::json!({
        "parts": [{"cut": "shin", "mass_kg": 1.2}, {"cut": "chuck", "mass_kg": 0.9, "pieces": 1}], "members": 32,
        "prices": {"shin": 9.0, "chuck": 11.0},
    }));
    let braise = way(&mixed, Method::Braise);
    assert!((braise.cost_a_head.unwrap() - (1.2 * 9.0 + 0.9 * 11.0) / 4.0).abs() < 1e-9);
    assert!(mixed.twice.is_none() && mixed.substitutes.is_empty());
    let cubed = choices(&mixed).into_iter().find(|choice| choice.id == "stew.oven_150.cubed").unwrap();
    assert!(cubed.ready_min.p50 < braise.ready_min.p50);

    let frozen = asked(serde_json::json!({"cut": "chuck", "mass_kg": 1.4, "start_c": -18.0}));
    let cautions = |method| way(&frozen, method).cautions.iter().map(|caution| caution.id.as_str()).collect::<Vec<_>>();
    assert!(cautions(Method::SlowCooker).contains(&"thaw_first"));
    assert!(cautions(Method::Braise).contains(&"frozen_start") && cautions(Method::Confit).contains(&"under_fat"));

    let joint = asked(serde_json::json!({"cut": "topside", "mass_kg": 2.0}));
    let twice = joint.twice.unwrap();
    assert!(twice.cautions.iter().any(|caution| caution.id == "part_cooked_chilled"), "{:?}", twice.cautions);
    assert!(twice.pull_min.p50 < twice.slice_min.p50 && joint.warnings[0].id == "lean");
    let fillet = asked(serde_json::json!({"cut": "fillet"}));
    assert!(!fillet.suitable && fillet.ways.is_empty() && fillet.why.contains("collagen"));
}

#[test]
fn the_table_of_cuts_and_ways_says_why_not() {
    let rows = overview(&Kitchen::default()).unwrap();
    assert_eq!(rows.len(), Cut::all().iter().filter(|facts| facts.suitable).count());
    for row in &rows {
        for cell in &row.ways {
            assert_eq!(cell.ready_min.is_none(), cell.why_not.is_some(), "{} {:?}", row.name, cell.method);
        }
    }
    let cell = |cut: Cut, method| {
        rows.iter().find(|row| row.cut == cut).unwrap().ways.iter().find(|cell| cell.method == method).unwrap()
    };
    assert!(cell(Cut::Tendon, Method::Smoke).why_not.is_some());
    assert!(cell(Cut::Shin, Method::Pressure).ready_min < cell(Cut::Shin, Method::Braise).ready_min);
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]

    #[test]
    fn later_bells_and_thinner_younger_meat_never_make_it_less_likely(
        cut in 0usize..24, kilos in 0.5..4.0f64, hours in 1.0..20.0f64, mature in any::<bool>(), kit in 1usize..7
    ) {
        let cut = Cut::all()[cut].cut;
        let request = |hours: f64, age| MatchRequest {
            cut: Some(cut),
            mass_kg: Some(kilos),
            age: Some(age),
            now: Some("2027-02-05T06:00".into()),
            serve_at: Some(plus_minutes("2027-02-05T06:00:00Z".parse().unwrap(), hours * 60.0).to_string()),
            kit: Some(ThingKind::heaters().take(kit).collect()),
            eaten_as: Some(EatenAs::Fork),
            members: Some(16),
            ..Default::default()
        };
        let answer = |hours, age| match_ways(&request(hours, age), &Kitchen::default(), Timestamp::UNIX_EPOCH).unwrap();
        let age = if mature { Age::Mature } else { Age::Young };
        let (base, later, young) = (answer(hours, age), answer(hours + 2.0, age), answer(hours, Age::Young));
        for choice in choices(&base) {
            prop_assert!((0.0..=1.0).contains(&choice.chance_ready) && choice.hands_on_min > 0.0 && choice.yield_kg > 0.0);
            for other in [&later, &young] {
                if let Some(other) = choices(other).into_iter().find(|other| other.id == choice.id) {
                    prop_assert!(other.chance_ready >= choice.chance_ready - 1e-9, "{}", choice.id);
                }
            }
        }
    }
}

#[test]
fn short_of_time_says_what_would_make_it_and_what_that_loses() {
    let hurried = |serve_at: &str, kit: &[&str]| {
        asked(serde_json::json!({
            "cut": "chuck", "mass_kg": 1.8, "people": 6, "eaten_as": "fork", "kit": kit,
            "now": "2027-02-05T16:00", "serve_at": serve_at,
        }))
    };
    // Chuck for six in two hours and a quarter: with a pressure pot it can be done.
    let pressed = hurried("2027-02-05T18:15", &["oven", "hob", "pressure_pot"]);
    let best = &pressed.ways[0].best;
    assert_eq!((best.method, best.verdict), (Method::Pressure, Verdict::Fits), "{}: {}", best.name, best.chance_ready);
    // Without one, smaller and unbrowned are offered with the minutes they win.
    let stewed = hurried("2027-02-05T18:30", &["oven", "hob"]);
    let quick: Vec<_> = choices(&stewed).into_iter().filter(|choice| choice.id.contains(".unbrowned")).collect();
    assert!(!quick.is_empty() && quick.iter().all(|choice| choice.trade.contains("won by")), "{quick:?}");
    let slow = choices(&stewed).into_iter().find(|choice| choice.id == "stew.simmer.cubed").unwrap();
    assert!(quick.iter().any(|choice| choice.chance_ready > slow.chance_ready + 0.05));
    // With time in hand nothing is given up.
    let calm = hurried("2027-02-05T22:00", &["oven", "hob", "pressure_pot"]);
    assert!(choices(&calm).iter().all(|choice| !choice.id.contains(".unbrowned")));
}

#[test]
fn a_kitchen_without_a_hob_plans_without_one() {
    let matched = asked(serde_json::json!({
        "cut": "chuck", "mass_kg": 1.6, "kit": ["coals", "pit"], "now": "2027-02-05T09:00", "serve_at": "2027-02-05T19:00",
    }));
    let best = &matched.ways[0].best;
    assert_eq!(best.verdict, Verdict::Fits, "{}", best.name);
    let kitchen = Kitchen::default().with_only(&[ThingKind::Coals, ThingKind::Pit]);
    for choice in choices(&matched).into_iter().filter(|choice| choice.verdict == Verdict::Fits) {
        let sheet = work_back(&choice.plan, &kitchen, matched.now).unwrap();
        for task in &sheet.tasks {
            assert!(task.lane != Lane::Hob && !task.what.contains("hob"), "{}: {}", choice.id, task.what);
        }
    }
    // With an oven alone the pot gets all its heat there, and nothing is browned on air.
    let oven = asked(serde_json::json!({
        "cut": "chuck", "mass_kg": 1.6, "kit": ["oven"], "now": "2027-02-05T09:00", "serve_at": "2027-02-05T19:00",
    }));
    let best = &oven.ways[0].best;
    let with_hob = asked(serde_json::json!({
        "cut": "chuck", "mass_kg": 1.6, "kit": ["oven", "hob"], "now": "2027-02-05T09:00", "serve_at": "2027-02-05T19:00",
    }));
    let same = choices(&with_hob).into_iter().find(|choice| choice.id == best.id).unwrap();
    assert!(best.plan.prepare.sear == Sear::None && best.ready_min.p50 > same.ready_min.p50, "{}", best.name);
    // And so it stands in its plan, for a kitchen that has a hob which is not free.
    assert_eq!(best.plan.forecast.heat.as_ref().and_then(|heat| heat.start), Some(Start::Oven));
}

#[test]
fn much_less_is_bought_for_bread_than_for_a_plate_and_nobody_dines_on_tendon() {
    let bought = |json: serde_json::Value| asked(json).buy;
    for method in ["braise", "pressure", "slow_cooker"] {
        let plates = bought(serde_json::json!({"method": method, "people": 8}));
        assert_ne!(plates[0].cut, Cut::Tendon, "{method}");
        let bread = bought(serde_json::json!({"method": method, "people": 8, "served": "bread"}));
        let of = |buys: &[Buy], cut: Cut| buys.iter().find(|buy| buy.cut == cut).unwrap().mass_kg;
        assert!((0.6..0.75).contains(&(of(&bread, Cut::Chuck) / of(&plates, Cut::Chuck))), "{method}");
        for cut in [Cut::ShinBoneIn, Cut::Oxtail, Cut::ShortRib] {
            assert!((0.34..0.47).contains(&(of(&plates, cut) / 8.0)), "{method} {cut:?}: {}", of(&plates, cut));
        }
    }
}

#[test]
fn meat_that_nobody_weighed_is_enough_for_those_who_eat() {
    let for_them = |people: u32| {
        asked(
            serde_json::json!({"cut": "chuck", "people": people, "serve_at": "2027-02-05T19:00", "now": "2027-02-05T09:00"}),
        )
    };
    let (two, twelve) = (for_them(2), for_them(12));
    assert!(twelve.mass_kg > 3.0 && twelve.mass_kg > 2.0 * two.mass_kg, "{} {}", two.mass_kg, twelve.mass_kg);
    assert!(twelve.ways[0].best.grams_a_head > 140.0, "{}", twelve.ways[0].best.grams_a_head);
    assert!(twelve.assumed.iter().any(|assumed| assumed.field == "mass_kg" && assumed.why == "enough for 12"));
}

#[test]
fn a_kitchen_of_counts_and_its_height_are_those_of_the_question() {
    let question = |more: serde_json::Value| {
        let mut question =
            serde_json::json!({"cut": "shin", "mass_kg": 1.6, "now": "2027-02-06T08:00", "only_ways": true});
        question.as_object_mut().unwrap().extend(more.as_object().unwrap().clone());
        asked(question)
    };
    let ready = |matched: &Matched| way(matched, Method::Stew).ready_min.p50.unwrap();
    let (sea, high) = (question(serde_json::json!({})), question(serde_json::json!({"altitude_m": 3000})));
    assert!(ready(&high) > 1.2 * ready(&sea), "{} {}", ready(&high), ready(&sea));
    assert_eq!(refused(serde_json::json!({"cut": "shin", "altitude_m": 9000})), "altitude_m");
    let bare = question(serde_json::json!({"kitchen": {"ovens": 0, "pits": 0, "pressure_pots": 0}}));
    let there = |method: Method| way(&bare, method).verdict != Verdict::Unsuitable;
    assert!(!there(Method::Pressure) && !there(Method::Smoke) && there(Method::Stew), "{:?}", bare.kit);
    assert!(!bare.kit.contains(&ThingKind::Oven) && bare.kit.contains(&ThingKind::Burner), "{:?}", bare.kit);
}

#[test]
fn a_serving_time_in_the_hour_that_comes_twice_says_which_it_took() {
    let at = |serve_at: &str| {
        let request = serde_json::json!({"cut": "shin", "now": "2027-10-30T12:00", "serve_at": serve_at, "zone": "Europe/Helsinki",
            "only_ways": true});
        asked(request).assumed.into_iter().find(|assumed| assumed.field == "serve_at")
    };
    assert!(at("2027-10-31T03:30").unwrap().why.contains("the first of the two"));
    assert_eq!(at("2027-10-31T04:30"), None);
}
