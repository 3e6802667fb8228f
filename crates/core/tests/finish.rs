//! From the pot to the plate: every choice of skimming, tasting, thickening and cooling does what a cook expects of it.

use ergastic_core::finish::{CoolIn, Sauce, SauceRequest, Skim, Target, Taste, Thickener, sauce};
use ergastic_words::Units;
use proptest::prelude::*;

/// A shin's pot: thin, well seasoned, a finger of fat on it.
fn pot() -> SauceRequest {
    SauceRequest {
        liquid_l: Some(1.5),
        fat_l: Some(0.2),
        salt_g: Some(12.0),
        gelatin_g: Some(30.0),
        ..SauceRequest::default()
    }
}

fn run(request: SauceRequest) -> Sauce {
    sauce(&request).unwrap()
}

fn step<'a>(sauce: &'a Sauce, word: &str) -> Option<&'a str> {
    sauce.steps.iter().map(|step| step.what.as_str()).find(|what| what.contains(word))
}

fn warned(sauce: &Sauce, id: &str) -> bool {
    sauce.warnings.iter().any(|warning| warning.id == id)
}

#[test]
fn each_way_of_skimming_leaves_what_it_leaves() {
    let left = |skim| run(SauceRequest { skim, ..pot() }).fat_left_l;
    let all = [Skim::None, Skim::Ladle, Skim::Spout, Skim::Chill].map(left);
    assert!(all.is_sorted_by(|a, b| a > b) && all[0] == 0.2, "{all:?}");
    assert_eq!(left(Skim::Bag), left(Skim::Spout));
}

#[test]
fn nothing_is_skimmed_where_there_is_no_fat() {
    let lean = run(SauceRequest { fat_l: Some(0.0), skim: Skim::Chill, ..pot() });
    assert!((lean.fat_left_l, lean.fat_mm) == (0.0, 0.0) && lean.steps[0].min < 5.0, "{:?}", lean.steps);
}

#[test]
fn fat_left_in_is_said_and_skimmed_before_it_is_thickened() {
    let greasy = run(SauceRequest { skim: Skim::None, ..pot() });
    assert!(warned(&greasy, "greasy") && warned(&greasy, "skim_first"), "{:?}", greasy.warnings);
    let skimmed = run(pot());
    assert!(!warned(&skimmed, "greasy") && !warned(&skimmed, "skim_first"), "{:?}", skimmed.warnings);
    let place = |word: &str| skimmed.steps.iter().position(|step| step.what.to_lowercase().contains(word)).unwrap();
    assert!(place("fat") < place("taste") && place("taste") < place("cornflour"), "{:?}", skimmed.steps);
}

#[test]
fn each_taste_is_answered_and_none_of_the_wrong_ones_by_reducing() {
    let usual = run(pot()).steps.len();
    for taste in [Taste::Salty, Taste::Bitter, Taste::Sour, Taste::Rich] {
        let sauce = run(SauceRequest { taste, ..pot() });
        assert_eq!((sauce.reduce_min, sauce.final_l, sauce.steps.len()), (0.0, 1.5, usual + 1), "{taste:?}");
    }
    let weak = run(SauceRequest { taste: Taste::Weak, ..pot() });
    assert!(weak.reduce_min > 5.0 && weak.final_l < 1.5 && step(&weak, "oil").is_some(), "{:?}", weak.steps);
}

#[test]
fn a_broth_is_not_thickened_and_a_gravy_more_than_a_sauce() {
    let grams = |target| run(SauceRequest { target, ..pot() }).thickener_g;
    assert_eq!(grams(Target::Broth), 0.0);
    assert!(grams(Target::Gravy) > 1.5 * grams(Target::Coat));
}

#[test]
fn starch_is_weighed_by_its_strength_and_flour_cooks_longest() {
    let sauces = [Thickener::Arrowroot, Thickener::Cornflour, Thickener::Flour]
        .map(|thickener| run(SauceRequest { thickener, ..pot() }));
    assert!(sauces.is_sorted_by(|a, b| a.thickener_g < b.thickener_g));
    let minutes = |sauce: &Sauce| sauce.steps.last().unwrap().min;
    assert!(minutes(&sauces[2]) > minutes(&sauces[1]) && minutes(&sauces[1]) > minutes(&sauces[0]));
    // A paste is as much butter as flour; a slurry about twice as much water as starch.
    let paste = run(SauceRequest { thickener: Thickener::ButterPaste, ..pot() });
    assert_eq!(paste.water_g, paste.thickener_g);
    assert!(sauces[1].water_g > 1.5 * sauces[1].thickener_g);
    let none = run(SauceRequest { thickener: Thickener::None, ..pot() });
    assert_eq!((none.thickener_g, none.water_g), (0.0, 0.0));
}

#[test]
fn gelatin_takes_starch_off_and_in_the_end_makes_it_needless() {
    let grams = |gelatin_g| run(SauceRequest { gelatin_g: Some(gelatin_g), ..pot() }).thickener_g;
    assert!(grams(30.0) > grams(90.0) && grams(90.0) > 0.0 && grams(130.0) == 0.0);
}

#[test]
fn only_tonights_share_is_thickened() {
    let half = run(SauceRequest { share: Some(0.5), ..pot() });
    assert!((half.thickener_g - 0.5 * run(pot()).thickener_g).abs() < 1e-9);
    assert!(step(&half, "750 mL").is_some(), "{:?}", half.steps);
    assert_eq!(half.final_l, 1.5, "the rest stays what it is");
}

#[test]
fn a_glaze_comes_down_until_it_shines_or_is_salty() {
    let free = run(SauceRequest { target: Target::Glaze, salt_g: Some(1.0), gelatin_g: Some(60.0), ..pot() });
    assert!((free.final_gelatin_pct - 15.0).abs() < 0.1 && !warned(&free, "salt_stop"), "{free:?}");
    let salted = |gelatin_g| run(SauceRequest { target: Target::Glaze, gelatin_g: Some(gelatin_g), ..pot() });
    let (clings, thin) = (salted(60.0), salted(25.0));
    for stopped in [&clings, &thin] {
        assert!((stopped.final_salt_g_per_kg - 25.0).abs() < 0.1 && warned(stopped, "salt_stop"), "{stopped:?}");
    }
    // Stopped by salt it may not cling yet: then starch makes it.
    assert!(free.thickener_g == 0.0 && clings.thickener_g == 0.0 && thin.thickener_g > 5.0, "{thin:?}");
}

#[test]
fn the_plate_is_judged_where_the_meat_is_known() {
    let with = |meat_salt_g, salt_g| {
        run(SauceRequest {
            taste: Taste::Weak,
            meat_kg: Some(1.2),
            meat_salt_g: Some(meat_salt_g),
            salt_g: Some(salt_g),
            ..pot()
        })
    };
    // Soy on unsalted meat: strong in the pot, right on the plate.
    let soy = with(1.0, 27.0);
    assert!(soy.plate_g_per_kg.unwrap() < 8.0 && !warned(&soy, "salty"), "{soy:?}");
    let corned = with(26.0, 20.0);
    assert!(
        corned.plate_g_per_kg.unwrap() > 14.0 && warned(&corned, "salty") && corned.reduce_min == 0.0,
        "{corned:?}"
    );
}

#[test]
fn a_film_of_fat_is_not_ladled_for_ten_minutes_and_a_dredge_thickens() {
    let film = run(SauceRequest { fat_l: Some(0.03), ..pot() });
    assert!(film.fat_mm < 1.0 && film.steps[0].min <= 1.0, "{:?}", film.steps);
    let dredged = run(SauceRequest { dredged_flour_g: Some(30.0), ..pot() });
    assert!(dredged.thickener_g < 0.75 * run(pot()).thickener_g);
    // Starch and water apart, in spoons and grams.
    let thickened = run(pot());
    let amounts = step(&thickened, "cornflour").unwrap();
    assert!(amounts.contains("30 g (") && amounts.contains("of cold water") && amounts.contains("tbsp"), "{amounts}");
}

#[test]
fn a_kilowatt_boils_off_a_litre_and_a_half_an_hour_by_what_heats_it() {
    let minutes = |kind| {
        let request = serde_json::json!({"liquid_l": 2.0, "salt_g": 2.0, "gelatin_g": 0, "taste": "weak", "target": "coat",
            "hob_w": 1000, "hob_kind": kind});
        let sauce = run(serde_json::from_value(request).unwrap());
        sauce.reduce_min / (2.0 - sauce.final_l)
    };
    // An element against the pot: some 46 min a litre; a flame loses more than half beside it.
    assert!((44.0..49.0).contains(&minutes("induction")) && minutes("gas") > 2.0 * minutes("induction"));
}

#[test]
fn a_pot_that_is_too_salty_already_is_told_so_in_the_cooks_units() {
    let text = |units| {
        let sauce = run(SauceRequest { salt_g: Some(30.0), units: Some(units), ..pot() });
        sauce.warnings.into_iter().find(|warning| warning.id == "salty").unwrap().text
    };
    assert!(text(Units::Metric).contains("20 g of salt a kilo") && text(Units::Us).contains("2 % salt"));
}

#[test]
fn a_burner_twice_as_strong_takes_half_as_long() {
    let minutes = |hob_w| run(SauceRequest { taste: Taste::Weak, hob_w: Some(hob_w), ..pot() }).reduce_min;
    for hob_w in [1000.0, 1800.0, 5000.0] {
        assert!((minutes(hob_w) / minutes(2.0 * hob_w) - 2.0).abs() < 1e-6, "{hob_w}");
    }
}

#[test]
fn a_deep_pot_left_on_the_counter_is_out_of_time_and_ice_water_is_not() {
    let party = run(SauceRequest { liquid_l: Some(6.0), meat_kg: Some(4.0), ..pot() });
    let way = |cool_in| party.cooling.iter().find(|way| way.cool_in == cool_in).unwrap();
    assert!(!way(CoolIn::Pot).in_time && !way(CoolIn::Fridge).in_time && way(CoolIn::Trays).in_time);
    assert!(way(CoolIn::IceBath).to_cool_min < way(CoolIn::Fridge).to_cool_min);
}

proptest! {
    #[test]
    fn any_pot_is_answered_whatever_it_tastes_of_and_what_helps_can_be_done(
        litres in 0.02..20.0f64, fat in 0.0..2.0f64, salt in 0.0..600.0f64, gelatin in 0.0..500.0f64, sugar in 0.0..900.0f64,
        acid in 0.0..90.0f64, meat in prop::option::of((0.05..6.0f64, 0.0..200.0f64)), share in 0.0..=1.0f64,
        taste in 0usize..Taste::ALL.len(), target in 0usize..4, thickener in 0usize..Thickener::ALL.len(),
    ) {
        let request = SauceRequest {
            liquid_l: Some(litres),
            fat_l: Some(fat),
            salt_g: Some(salt),
            gelatin_g: Some(gelatin),
            sugar_g: Some(sugar),
            acid_g: Some(acid),
            meat_kg: meat.map(|(kg, _)| kg),
            meat_salt_g: meat.map(|(_, grams)| grams),
            share: Some(share),
            taste: Taste::ALL[taste],
            target: [Target::Broth, Target::Coat, Target::Gravy, Target::Glaze][target],
            thickener: Thickener::ALL[thickener],
            ..SauceRequest::default()
        };
        let answer = sauce(&request).unwrap();
        prop_assert!(answer.final_l > 0.0 && answer.left_min.is_finite() && answer.path.iter().all(|leg| leg.after.body.is_finite()));
        // Sent back, the moves are the same path; each offer and each help can be laid into it.
        let again = sauce(&SauceRequest { moves: Some(answer.moves.clone()), ..request.clone() }).unwrap();
        prop_assert_eq!(&again.moves, &answer.moves);
        let helps = answer.tastes.iter().flat_map(|advice| &advice.helps).filter_map(|help| help.what);
        for next in helps.chain(answer.more.iter().map(|offer| offer.what)) {
            let moves = answer.moves.iter().copied().chain([next]).collect();
            prop_assert!(sauce(&SauceRequest { moves: Some(moves), ..request.clone() }).is_ok(), "{next:?}");
        }
    }
}

#[test]
fn what_can_not_be_is_named() {
    let field = |request: SauceRequest| sauce(&request).unwrap_err().field;
    assert_eq!(field(SauceRequest { liquid_l: Some(0.0), ..pot() }), "liquid_l");
    assert_eq!(field(SauceRequest { share: Some(1.2), ..pot() }), "share");
    assert_eq!(field(SauceRequest { hob_w: Some(f64::NAN), ..pot() }), "hob_w");
    let small: SauceRequest = serde_json::from_value(serde_json::json!({"vessel": {"diameter_cm": 2}})).unwrap();
    assert_eq!(field(small), "vessel.diameter_cm");
}

#[test]
fn gelatin_and_nothing_say_what_they_can_not_do() {
    let gravy = |thickener| run(SauceRequest { thickener, target: Target::Gravy, ..pot() });
    let gelatin = gravy(Thickener::Gelatin);
    assert!(warned(&gelatin, "gelatin_short"), "{:?}", gelatin.warnings);
    assert!(gelatin.thickener_g <= 60.0 * 1.5 + 1e-6, "{}", gelatin.thickener_g);
    assert!(warned(&gravy(Thickener::None), "stays_thin"));
    assert!(!warned(&gravy(Thickener::Cornflour), "stays_thin"));
    // A liquid with much of its own needs little more to coat: that it reaches.
    let rich = SauceRequest { gelatin_g: Some(110.0), thickener: Thickener::Gelatin, target: Target::Coat, ..pot() };
    let rich = run(rich);
    assert!(!warned(&rich, "gelatin_short") && rich.final_gelatin_pct >= 7.9, "{}", rich.final_gelatin_pct);
}

#[test]
fn a_wide_flame_under_a_narrow_pot_boils_off_by_its_energy_and_is_said_to_spit() {
    use ergastic_core::heat::pot::PotMeasures;
    let reduced = |diameter_cm: f64| {
        let vessel =
            Some(PotMeasures { diameter_cm: Some(diameter_cm), height_cm: Some(30.0), ..PotMeasures::default() });
        run(SauceRequest { vessel, hob_w: Some(3000.0), taste: Taste::Weak, ..pot() })
    };
    let (narrow, wide) = (reduced(16.0), reduced(30.0));
    assert!((narrow.reduce_min - wide.reduce_min).abs() < 0.5 && narrow.reduce_min > 5.0);
    assert!(warned(&narrow, "spits") && !warned(&wide, "spits"));
}
