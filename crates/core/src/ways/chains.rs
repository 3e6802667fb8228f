//! Ways one after another: smoke and then moisture, and today for tomorrow.

use ergastic_words::{Minutes, Temperature, Units, matching as say};

use super::asked::Heat;
use super::method::NIGHT_MIN;
use super::method::{AFTER_SMOKE_BATH_C, Method, USUAL_OVEN_C, USUAL_REHEAT_C};
use super::pit;
use super::preset::{Chain, on_the_dial};
use super::stages::{StageRequest, Until};
use crate::heat::pot::{Lid, Simmer};
use crate::kitchen::ThingKind;

/// Smoked for so long before the bag, and before the pot, min. Practice.
const BEFORE_THE_BAG_MIN: f64 = 240.0;
const BEFORE_THE_POT_MIN: f64 = 180.0;

/// The chains that are offered, in a kitchen with an oven or with a hob alone.
pub fn chains(units: Units, has_oven: bool) -> Vec<Chain> {
    let smoked = |min: f64| StageRequest::of(Method::Smoke, pit::bare(pit::slow_c(units)), Some(Until::after(min)));
    let braised = match has_oven {
        true => Heat::oven(on_the_dial(units, USUAL_OVEN_C, 300.0)),
        false => Heat::hob(Simmer::Gentle),
    };
    let bath_c = on_the_dial(units, AFTER_SMOKE_BATH_C, 185.0);
    let bagged = Heat { bath_c: Some(bath_c), ..Heat::default() };
    let warmed = Heat { to_c: Some(USUAL_REHEAT_C), ..Heat::default() };
    let over_night = vec![
        StageRequest::of(Method::Braise, braised.clone(), Some(Until::tender())),
        StageRequest::of(Method::Chill, Heat::default(), Some(Until::after(NIGHT_MIN))),
        StageRequest { lid: Some(Lid::Tight), ..StageRequest::of(Method::Reheat, warmed, None) },
    ];
    vec![
        Chain {
            key: "smoke_bag",
            name: say::smoke_bag(Minutes(BEFORE_THE_BAG_MIN), Temperature(bath_c)),
            kit: ThingKind::Pit,
            in_pot: false,
            stages: vec![smoked(BEFORE_THE_BAG_MIN), StageRequest::of(Method::WaterBath, bagged, None)],
        },
        Chain {
            key: "smoke_braise",
            name: say::smoke_braise(Minutes(BEFORE_THE_POT_MIN)),
            kit: ThingKind::Pit,
            in_pot: true,
            stages: vec![smoked(BEFORE_THE_POT_MIN), StageRequest::of(Method::Braise, braised, None)],
        },
        Chain {
            key: "day_before",
            name: say::day_before(),
            kit: if has_oven { ThingKind::Oven } else { ThingKind::Burner },
            in_pot: true,
            stages: over_night,
        },
    ]
}
