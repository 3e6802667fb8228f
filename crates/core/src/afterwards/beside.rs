//! What balances the plate: something sharp, bitter, fresh and crisp for this very dish.

use ergastic_words::{Message, Percent, Voice, afterwards as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::meat::LiftedMeat;
use crate::bench::{Carrier, Food, Larder, Level, MarinadeOf, label};
use crate::finish::{SauceRequest, Target};
use crate::plan::Plan;
use crate::ways::Method;

/// What a rich plate wants.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Wants {
    /// Sharp.
    Acid,
    /// Bitter.
    Bitter,
    /// Green and fresh.
    Fresh,
    /// Something that cracks.
    Crunch,
}

/// One thing beside the meat.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Beside {
    /// What it is for.
    pub wants: Wants,
    /// Its name.
    pub name: String,
    /// What does it for this dish.
    pub what: String,
    /// Why, or why little of it.
    pub why: String,
    /// The allergens it brings, as a label says them; nothing where it brings none.
    pub carries: Option<String>,
    /// The dish has it already.
    pub has: bool,
}

/// So sharp is what went in that little more is wanted, as a share of the liquid; so fat is rich.
const SHARP: f64 = 0.004;
const RICH: f64 = 0.14;

impl Wants {
    const ALL: [Self; 4] = [Self::Acid, Self::Bitter, Self::Fresh, Self::Crunch];

    fn key(self) -> &'static str {
        match self {
            Self::Acid => "acid",
            Self::Bitter => "bitter",
            Self::Fresh => "fresh",
            Self::Crunch => "crunch",
        }
    }
}

/// Which way a dish leans.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
enum Leans {
    Soy,
    Smoke,
    Broth,
    Wine,
    Plain,
}

impl Leans {
    fn key(self) -> &'static str {
        match self {
            Self::Soy => "soy",
            Self::Smoke => "smoke",
            Self::Broth => "broth",
            Self::Wine => "wine",
            Self::Plain => "plain",
        }
    }
}

/// What of it may carry an allergen.
fn made_of(leans: Leans, wants: Wants) -> &'static [Carrier] {
    match (wants, leans) {
        (Wants::Acid, Leans::Soy | Leans::Broth) => &[],
        (Wants::Acid, Leans::Smoke) => &[Carrier::Larder(Larder::Vinegar), Carrier::Larder(Larder::Mustard)],
        (Wants::Acid, Leans::Wine) => &[Carrier::Food(Food::Pickles), Carrier::Larder(Larder::Vinegar)],
        (Wants::Acid, Leans::Plain) => &[Carrier::Food(Food::Pickles), Carrier::Food(Food::Horseradish)],
        (Wants::Bitter, Leans::Soy) => &[Carrier::Food(Food::MustardGreens)],
        (Wants::Bitter, _) | (Wants::Fresh, _) | (Wants::Crunch, Leans::Smoke) => &[],
        (Wants::Crunch, Leans::Soy) => &[Carrier::Food(Food::Sesame)],
        (Wants::Crunch, Leans::Wine) => &[Carrier::Food(Food::Bread)],
        (Wants::Crunch, Leans::Broth) => &[Carrier::Larder(Larder::Celery)],
        (Wants::Crunch, Leans::Plain) => &[Carrier::Food(Food::RyeBread)],
    }
}

/// Which way a dish leans by what went into it.
fn leans(plan: &Plan) -> Leans {
    use Larder::{DarkBeer, FishSauce, FortifiedWine, LowSaltSoy, Miso, RedWine, RiceWine, SoySauce, WhiteWine};
    let bench = &plan.prepare;
    let has = |any: &[Larder]| bench.things().iter().any(|thing| any.contains(&thing.what));
    let stages = plan.forecast.stages.iter().flatten().filter_map(|stage| stage.method);
    let smoked = stages.chain(plan.forecast.method).any(|method| method == Method::Smoke);
    let soy = bench.marinade.is_some_and(|marinade| marinade.of == MarinadeOf::Soy);
    if soy || has(&[SoySauce, LowSaltSoy, FishSauce, Miso, RiceWine]) {
        Leans::Soy
    } else if smoked {
        Leans::Smoke
    } else if bench.clear || bench.level == Some(Level::Soup) || plan.target == Target::Broth {
        Leans::Broth
    } else if has(&[RedWine, WhiteWine, FortifiedWine, DarkBeer]) {
        Leans::Wine
    } else {
        Leans::Plain
    }
}

/// What belongs beside a dish with such meat and liquid.
pub(super) fn beside(plan: &Plan, meat: &LiftedMeat, sauce: Option<&SauceRequest>, voice: Voice) -> Vec<Beside> {
    let litres = sauce.and_then(|sauce| sauce.liquid_l).unwrap_or(1.0);
    let acid = sauce.and_then(|sauce| sauce.acid_g).unwrap_or(0.0) / 1000.0 / litres;
    let bitter = sauce.is_some_and(|sauce| sauce.bitter);
    let leans = leans(plan);
    let shown = |wants: Wants| {
        let (why, has): (Message, bool) = match wants {
            Wants::Acid if acid >= SHARP => (say::beside_has_acid(Percent(acid)), true),
            Wants::Acid if meat.fat >= RICH => (say::beside_rich(Percent(meat.fat)), false),
            Wants::Acid => (say::beside_acid_why(), false),
            Wants::Bitter if bitter => (say::beside_bitter_has(), true),
            Wants::Bitter => (say::beside_bitter_why(), false),
            Wants::Fresh => (say::beside_fresh_why(), false),
            Wants::Crunch => (say::beside_soft(), false),
        };
        Beside {
            wants,
            name: voice.render(say::beside_name(wants.key())),
            what: voice.render(say::beside(leans.key(), wants.key())),
            carries: label(made_of(leans, wants)).map(|said| voice.render(said)),
            why: voice.render(why),
            has,
        }
    };
    Wants::ALL.map(shown).into()
}
