//! Each kind of quantity as it is written in either kitchen, and where one way of writing it ends and the next begins.

use ergastic_words::{
    Argument, Dial, Difference, Elevation, Grams, Guide, Instant, Join, Length, Mass, Message, Minutes, Percent, Power,
    Price, RoughMinutes, Share, Size, Spoons, Strength, Temperature, Units, Voice, Volume, ways,
};
use proptest::prelude::*;

fn said(quantity: impl Into<Argument>) -> [String; 2] {
    let said = Message::quantity(quantity);
    [Units::Metric, Units::Us].map(|units| Voice::new(units).render(&said))
}

/// Each in a metric and in an American kitchen.
fn are<Q: Into<Argument>>(kind: impl Fn(f64) -> Q, rows: &[(f64, &str, &str)]) {
    for (value, metric, us) in rows {
        assert_eq!(said(kind(*value)), [*metric, *us], "of {value}");
    }
}

#[test]
fn meat_is_weighed_in_kilos_or_in_pounds_and_ounces() {
    are(
        Mass,
        &[
            (0.0, "0 g", "0 oz"),
            (0.045, "45 g", "1½ oz"),
            (0.2268, "225 g", "8 oz"),
            (0.4536, "455 g", "1 lb"),
            (0.998, "1 kg", "2 lb 3 oz"),
            (1.38, "1.4 kg", "3 lb 1 oz"),
            (5.5, "5.5 kg", "12 lb"),
            (24.04, "24 kg", "53 lb"),
        ],
    );
}

#[test]
fn a_little_stays_in_grams_until_it_is_an_ounce() {
    are(
        Grams,
        &[
            (0.0, "0 g", "0 g"),
            (0.44, "0.4 g", "0.4 g"),
            (9.0, "9 g", "9 g"),
            (42.5, "43 g", "1½ oz"),
            (850.0, "850 g", "1 lb 14 oz"),
        ],
    );
}

#[test]
fn salt_and_starch_are_spooned() {
    let salt = |grams| Spoons { grams, teaspoon_g: 6.0 };
    are(
        salt,
        &[
            (0.3, "0.3 g (a pinch)", "a pinch (0.3 g)"),
            (3.0, "3 g (½ tsp)", "½ tsp (3 g)"),
            (28.0, "28 g (4¾ tsp)", "4¾ tsp (28 g)"),
            (60.0, "60 g (3½ tbsp)", "3½ tbsp (60 g)"),
            // Nobody spoons that out where there are scales.
            (400.0, "400 g", "1½ cups (400 g)"),
        ],
    );
}

#[test]
fn liquids_are_poured_from_a_jug_or_from_cups() {
    are(
        Volume,
        &[
            (0.0, "0 mL", "0 tsp"),
            (0.005, "5 mL", "1 tsp"),
            (0.03, "30 mL", "2 tbsp"),
            (0.0591, "60 mL", "¼ cup"),
            (0.2366, "240 mL", "1 cup"),
            (0.6, "600 mL", "2½ cups"),
            (0.996, "1 L", "1 qt"),
            (1.65, "1.65 L", "1¾ qt"),
            (18.0, "18 L", "19 qt"),
        ],
    );
}

#[test]
fn lengths_are_read_off_a_ruler() {
    are(
        Length,
        &[(0.0, "0 mm", "0 in"), (1.0, "1 mm", "under ⅛ in"), (12.0, "12 mm", "½ in"), (65.0, "6.5 cm", "2½ in")],
    );
    are(Elevation, &[(0.0, "0 m", "0 ft"), (-430.0, "-430 m", "-1411 ft"), (6000.0, "6000 m", "19685 ft")]);
    assert_eq!(said(Size([70.0, 120.0, 160.0])), ["7 × 12 × 16 cm", "2¾ × 4¾ × 6¼ in"]);
}

#[test]
fn a_dial_goes_in_its_own_steps_and_guidance_is_the_figure_published_there() {
    are(Dial, &[(150.0, "150 °C", "300 °F"), (110.0, "110 °C", "225 °F"), (232.0, "232 °C", "450 °F")]);
    are(Guide, &[(4.0, "4 °C", "40 °F"), (54.4, "54 °C", "130 °F"), (63.0, "63 °C", "145 °F")]);
    are(Temperature, &[(66.0, "66 °C", "151 °F"), (99.6, "100 °C", "211 °F"), (-0.2, "0 °C", "32 °F")]);
    // A difference has no zero point to be moved from.
    are(Difference, &[(7.0, "7 °C", "13 °F"), (0.0, "0 °C", "0 °F")]);
}

#[test]
fn what_turns_out_is_not_told_to_the_minute_and_what_is_set_is() {
    let both = |minutes| [said(RoughMinutes(minutes))[0].clone(), said(Minutes(minutes))[0].clone()];
    assert_eq!(both(0.5), ["under a minute", "½ min"]);
    assert_eq!(both(7.4), ["7 min", "7 min"]);
    assert_eq!(both(44.0), ["45 min", "44 min"]);
    assert_eq!(both(151.0), ["2½ h", "2 h 31 min"]);
    assert_eq!(both(119.0), ["2 h", "1 h 59 min"]);
    assert_eq!(both(2175.0), ["36 h", "36 h 15 min"]);
}

#[test]
fn shares_are_told_of_ten_and_near_the_ends_of_a_hundred() {
    let shares = [0.0, 0.004, 0.03, 0.18, 0.5, 0.86, 0.97, 1.0].map(|share| said(Share(share))[0].clone());
    assert_eq!(
        shares,
        ["hardly any", "hardly any", "3 in 100", "2 in 10", "5 in 10", "86 in 100", "97 in 100", "nearly all"]
    );
    assert_eq!([0.013, 0.12, 1.0].map(|share| said(Percent(share))[0].clone()), ["1.3 %", "12 %", "100 %"]);
}

#[test]
fn the_rest_is_written_as_it_is_said_at_the_counter_and_at_the_stove() {
    are(Strength, &[(10.4, "10 g of salt a kilo", "1 % salt"), (12.6, "13 g of salt a kilo", "1.3 % salt")]);
    are(Price, &[(14.0, "14.00 a kilo", "6.35 a pound")]);
    are(Power, &[(800.0, "800 W", "800 W"), (1800.0, "1.8 kW", "1.8 kW")]);
    let supper = Instant { at: "2027-02-05T16:30:00Z".parse().unwrap(), zone: jiff::tz::TimeZone::UTC, read_at: None };
    assert_eq!(said(supper.clone()), ["16:30", "4:30 pm"]);
    let read = |at: &str| said(Instant { read_at: Some(at.parse().unwrap()), ..supper.clone() });
    assert_eq!(read("2027-02-05T23:59:00Z"), ["16:30", "4:30 pm"]);
    assert_eq!(read("2027-02-06T00:01:00Z"), ["Fri 16:30", "Fri 4:30 pm"]);
    assert_eq!(read("2027-02-12T00:01:00Z"), ["Fri 5 Feb 16:30", "Fri 5 Feb 4:30 pm"]);
}

#[test]
fn lists_are_joined_as_they_are_spoken_and_what_is_empty_is_passed_over() {
    let list = |items: &[&'static str], join| {
        Voice::default().render(Message::list(items.iter().map(|item| Message::text(*item)), join))
    };
    assert_eq!(list(&["onion", "", "garlic", "thyme"], Join::And), "onion, garlic and thyme");
    assert_eq!(list(&["hob", "oven"], Join::Or), "hob or oven");
    assert_eq!(list(&["a hot pit", "a bag"], Join::Then), "a hot pit, then a bag");
    assert_eq!(list(&["lid off", "stir"], Join::Sentences), "Lid off. Stir");
    assert_eq!((list(&["bones"], Join::And), list(&[], Join::And)), ("bones".into(), String::new()));
}

#[test]
fn a_or_an_goes_by_the_sound_of_the_figure() {
    let voice = Voice::default();
    let ovens = [80.0, 150.0, 180.0, 110.0].map(|dial| voice.render(ways::oven(Dial(dial))));
    assert_eq!(ovens, ["an 80 °C oven", "a 150 °C oven", "a 180 °C oven", "a 110 °C oven"]);
}

proptest! {
    /// Whatever it is, something is read, no larger amount is written with an emptier figure, and nothing as "-0".
    #[test]
    fn every_amount_is_written(value in 0.0..2000.0f64) {
        let all = [
            said(Mass(value / 50.0)), said(Grams(value)), said(Volume(value / 100.0)), said(Length(value)),
            said(Temperature(value - 40.0)), said(RoughMinutes(value * 3.0)), said(Minutes(value * 3.0)), said(Strength(value / 20.0)),
            said(Spoons { grams: value, teaspoon_g: 2.6 }),
        ];
        for text in all.iter().flatten() {
            prop_assert!(text.chars().any(char::is_alphabetic) && !text.contains("-0 ") && !text.contains("NaN"), "{text}");
            prop_assert!(!text.contains("1000 g") && !text.contains("1000 mL") && !text.contains(" 16 oz"), "{text}");
        }
    }
}
