//! Quantities in words and figures.

use crate::message::Argument;
use crate::quantity::*;

const POUND_KG: f64 = 0.453_592_37;
const OUNCE_G: f64 = 28.349_523;
const QUART_L: f64 = 0.946_352_95;
const CUP_L: f64 = QUART_L / 4.0;
const FLUID_OUNCE_L: f64 = CUP_L / 8.0;
const TABLESPOON_L: f64 = FLUID_OUNCE_L / 2.0;
const TEASPOON_L: f64 = TABLESPOON_L / 3.0;
const INCH_MM: f64 = 25.4;
const FOOT_M: f64 = 0.3048;
/// Nobody spoons more than this out where there are scales, teaspoons.
const MAX_SPOONS: f64 = 36.0;

/// A quantity in words and figures.
pub fn written(argument: &Argument, units: Units, clock: Clock) -> String {
    let us = units == Units::Us;
    type Write = fn(f64) -> String;
    let either = |value: f64, metric: Write, other: Write| if us { other(value) } else { metric(value) };
    match argument {
        Argument::Mass(Mass(kg)) => either(*kg, kilos, pounds),
        Argument::Grams(Grams(g)) => either(*g, grams, ounces_or_grams),
        Argument::Spoons(by) => spoonful(*by, us),
        Argument::Volume(Volume(l)) => either(*l, litres, cups),
        Argument::Length(Length(mm)) => either(*mm, millimetres, inches),
        Argument::Elevation(Elevation(m)) => {
            either(*m, |m| format!("{} m", whole(m)), |m| format!("{} ft", whole(m / FOOT_M)))
        }
        Argument::Size(Size(mm)) => sides(*mm, us),
        Argument::Temperature(Temperature(c)) => either(*c, celsius, |c| fahrenheit(to_fahrenheit(c))),
        Argument::Guide(Guide(c)) => either(*c, celsius, |c| fahrenheit(published(to_fahrenheit(c)))),
        Argument::Dial(Dial(c)) => either(*c, celsius, |c| fahrenheit((to_fahrenheit(c) / 25.0).round() * 25.0)),
        Argument::Difference(Difference(k)) => {
            either(*k, |k| format!("{} °C", whole(k)), |k| format!("{} °F", whole(k * 1.8)))
        }
        Argument::RoughMinutes(RoughMinutes(min)) => span(*min),
        Argument::Minutes(Minutes(min)) => minutes(*min),
        Argument::Instant(moment) => of_the_clock(moment, clock),
        Argument::Power(Power(w)) if *w < 1000.0 => format!("{} W", whole(*w)),
        Argument::Power(Power(w)) => format!("{} kW", decimals(w / 1000.0, 1)),
        Argument::Share(Share(share)) => in_ten(*share),
        Argument::Percent(Percent(share)) => percent(share * 100.0),
        Argument::Strength(Strength(g)) => {
            either(*g, |g| format!("{} g of salt a kilo", whole(g)), |g| format!("{} % salt", decimals(g / 10.0, 1)))
        }
        Argument::Price(Price(kilo)) => {
            either(*kilo, |kilo| format!("{kilo:.2} a kilo"), |kilo| format!("{:.2} a pound", kilo * POUND_KG))
        }
        Argument::Number(number) => plain(*number),
        // What is not a quantity is put in by the voice itself.
        Argument::Count(_) | Argument::Text(_) | Argument::Key(_) | Argument::Message(_) => String::new(),
    }
}

fn to_fahrenheit(celsius: f64) -> f64 {
    celsius * 1.8 + 32.0
}

fn percent(value: f64) -> String {
    format!("{} %", if value < 10.0 { decimals(value, 1) } else { whole(value) })
}

fn ounces_or_grams(g: f64) -> String {
    match g / OUNCE_G {
        ounces if ounces < 1.0 => grams(g),
        ounces if ounces < 16.0 => format!("{} oz", fraction(ounces, 4.0)),
        _ => pounds(g / 1000.0),
    }
}

/// By the spoon and on the scales: what the cook has at hand first.
fn spoonful(Spoons { grams: g, teaspoon_g }: Spoons, us: bool) -> String {
    let (teaspoons, weighed) = (g / teaspoon_g, grams(g));
    match us {
        true => format!("{} ({weighed})", spoons(teaspoons)),
        // So much is weighed.
        false if teaspoons > MAX_SPOONS => weighed,
        false => format!("{weighed} ({})", spoons(teaspoons)),
    }
}

/// Rounded to so many decimals, without zeros that say nothing.
fn decimals(value: f64, digits: usize) -> String {
    let text = format!("{value:.digits$}");
    let text = if text.contains('.') { text.trim_end_matches('0').trim_end_matches('.') } else { &text };
    if text == "-0" { "0".into() } else { text.to_owned() }
}

fn whole(value: f64) -> String {
    decimals(value, 0)
}

/// A bare factor or figure: "1.4", "2½", "12".
fn plain(value: f64) -> String {
    let half = (value * 2.0).round() / 2.0;
    if (value - half).abs() < 1e-9 && half.fract() != 0.0 && value.abs() < 100.0 {
        return fraction(value, 2.0);
    }
    decimals(value, if value.abs() < 1.0 { 2 } else { 1 })
}

/// "2½", "¾", "3", in steps of one over `parts`; never nothing of what there is.
fn fraction(value: f64, parts: f64) -> String {
    let steps = f64::max(if value > 0.0 { 1.0 } else { 0.0 }, (value * parts).round());
    let (full, rest) = ((steps / parts).floor(), steps % parts);
    let sign = match (rest / parts * 24.0).round() as i64 {
        0 => "",
        3 => "⅛",
        6 => "¼",
        8 => "⅓",
        9 => "⅜",
        12 => "½",
        15 => "⅝",
        16 => "⅔",
        18 => "¾",
        _ => "⅞",
    };
    if full == 0.0 && !sign.is_empty() { sign.into() } else { format!("{full:.0}{sign}") }
}

fn celsius(c: f64) -> String {
    format!("{} °C", whole(c))
}

fn fahrenheit(f: f64) -> String {
    format!("{} °F", whole(f))
}

/// The round figure beside which it lies, as published in °F: 4 °C is 40 °F there, 54.4 °C is 130.
fn published(f: f64) -> f64 {
    let round = (f / 5.0).round() * 5.0;
    if (f - round).abs() <= 1.0 { round } else { f.round() }
}

fn kilos(kg: f64) -> String {
    // Rounded first: 998 g is a kilo.
    if kg < 0.9975 {
        return grams(kg * 1000.0);
    }
    let step = if kg < 10.0 { 0.05 } else { 0.1 };
    format!("{} kg", decimals((kg / step).round() * step, 2))
}

fn grams(g: f64) -> String {
    let shown = match g {
        g if g < 9.95 => return format!("{} g", decimals(g, 1)),
        g if g < 100.0 => g.round(),
        g if g >= 997.5 => return kilos(g / 1000.0),
        g => (g / 5.0).round() * 5.0,
    };
    format!("{} g", whole(shown))
}

fn pounds(kg: f64) -> String {
    let ounces = kg * 1000.0 / OUNCE_G;
    if ounces < 4.0 {
        return format!("{} oz", fraction(ounces, 4.0));
    }
    let ounces = ounces.round();
    match ((ounces / 16.0).floor(), ounces % 16.0) {
        (0.0, ounces) => format!("{ounces:.0} oz"),
        (pounds, 0.0) => format!("{pounds:.0} lb"),
        (pounds, _) if pounds >= 10.0 => format!("{} lb", fraction(kg / POUND_KG, 2.0)),
        (pounds, ounces) => format!("{pounds:.0} lb {ounces:.0} oz"),
    }
}

fn spoons(teaspoons: f64) -> String {
    // From six teaspoons on they are counted by the tablespoon, and by the cup from twelve of those.
    match teaspoons {
        n if n < 0.09 => "a pinch".into(),
        n if n < 5.9 => format!("{} tsp", fraction(n, if n < 1.0 { 8.0 } else { 4.0 })),
        n if n < 36.0 => format!("{} tbsp", fraction(n / 3.0, 2.0)),
        n => measure(n / 48.0, 4.0, "cup"),
    }
}

fn litres(l: f64) -> String {
    let ml = l * 1000.0;
    match ml {
        ml if ml < 9.5 => format!("{} mL", whole(ml)),
        // Rounded first: 996 mL is a litre.
        ml if ml < 995.0 => {
            format!("{} mL", whole(if ml < 100.0 { (ml / 5.0).round() * 5.0 } else { (ml / 10.0).round() * 10.0 }))
        }
        ml if ml < 10_000.0 => format!("{} L", decimals((l * 20.0).round() / 20.0, 2)),
        _ => format!("{} L", decimals(l, 1)),
    }
}

fn cups(l: f64) -> String {
    let in_cups = l / CUP_L;
    let off_l = (in_cups - (in_cups * 4.0).round() / 4.0).abs() * CUP_L;
    match l {
        l if l < TEASPOON_L * 0.06 => "0 tsp".into(),
        l if l < TEASPOON_L * 5.0 => format!("{} tsp", fraction(l / TEASPOON_L, 4.0)),
        l if l < FLUID_OUNCE_L * 1.9 => format!("{} tbsp", fraction(l / TABLESPOON_L, 2.0)),
        // Less than a cup that is no quarter of one.
        l if l < 0.95 * CUP_L && off_l > 0.4 * FLUID_OUNCE_L => format!("{} fl oz", whole(l / FLUID_OUNCE_L)),
        l if l < QUART_L * 0.97 => measure(in_cups, 4.0, "cup"),
        l => format!("{} qt", fraction(l / QUART_L, if l < 4.0 * QUART_L { 4.0 } else { 2.0 })),
    }
}

/// "½ cup", "1 cup", "1½ cups".
fn measure(value: f64, parts: f64, name: &str) -> String {
    let shown = (value * parts).round() / parts;
    format!("{} {name}{}", fraction(value, parts), if shown > 1.0 { "s" } else { "" })
}

fn millimetres(mm: f64) -> String {
    if mm < 29.5 {
        return format!("{} mm", whole(mm));
    }
    format!("{} cm", decimals(mm / 10.0, if mm < 200.0 { 1 } else { 0 }))
}

fn inches(mm: f64) -> String {
    let inches = mm / INCH_MM;
    if inches < 0.0625 {
        return if inches <= 0.0 { "0 in".into() } else { "under ⅛ in".into() };
    }
    format!("{} in", fraction(inches, if inches < 1.0 { 8.0 } else { 4.0 }))
}

fn sides(mm: [f64; 3], us: bool) -> String {
    let shown = mm.map(|side| if us { fraction(side / INCH_MM, 4.0) } else { decimals(side / 10.0, 1) });
    format!("{} {}", shown.join(" × "), if us { "in" } else { "cm" })
}

/// "5 min", "45 min", "2½ h", "3 h 20 min", "36 h".
fn span(min: f64) -> String {
    if min < 0.75 {
        return "under a minute".into();
    }
    match min {
        min if min < 10.0 => minutes(min.round()),
        min if min < 20.0 * 60.0 => minutes((min / 5.0).round() * 5.0),
        min => format!("{} h", whole(min / 60.0)),
    }
}

/// "2½ min", "35 min", "2½ h", "1 h 35 min".
fn minutes(min: f64) -> String {
    if min < 4.75 {
        return format!("{} min", fraction(min, 2.0));
    }
    let min = min.round();
    match ((min / 60.0).floor(), min % 60.0) {
        (0.0, m) => format!("{m:.0} min"),
        (h, 0.0) => format!("{h:.0} h"),
        (h, 30.0) => format!("{h:.0}½ h"),
        (h, m) => format!("{h:.0} h {m:.0} min"),
    }
}

fn of_the_clock(Instant { at, zone, read_at }: &Instant, clock: Clock) -> String {
    let local = at.to_zoned_datetime(zone.clone());
    let hour = match clock == Clock::H12 {
        false => local.strftime("%H:%M").to_string(),
        true => local.strftime("%-I:%M %p").to_string().to_lowercase(),
    };
    let days = read_at.map_or(0, |read_at| {
        let read_on = read_at.to_zoned_datetime(zone.clone()).date();
        read_on.since(local.date()).map_or(0, |apart| apart.get_days()).abs()
    });
    match days {
        0 => hour,
        1..7 => format!("{} {hour}", local.strftime("%a")),
        _ => format!("{} {hour}", local.strftime("%a %-d %b")),
    }
}

/// "9 in 10", "97 in 100", "hardly any", "nearly all".
fn in_ten(share: f64) -> String {
    let hundred = (share.clamp(0.0, 1.0) * 100.0).round();
    match hundred {
        0.0 => "hardly any".into(),
        100.0 => "nearly all".into(),
        n if n % 10.0 == 0.0 => format!("{:.0} in 10", n / 10.0),
        // Between a twentieth and nineteen of them nobody reads the difference of one in a hundred.
        n if (15.0..=85.0).contains(&n) => format!("{:.0} in 10", (n / 10.0).round()),
        n => format!("{n:.0} in 100"),
    }
}
