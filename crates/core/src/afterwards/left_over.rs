//! What is left over: how much of what, what it is good for, how long it keeps, and what it starts.

use ergastic_words::{Guide, Mass, Message, Percent, Strength, Voice, Volume, afterwards as say};
use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use serde_with::skip_serializing_none;
use strum::IntoStaticStr;
use utoipa::ToSchema;

use super::meat::LiftedMeat;
use crate::bench::{Ingredient, Larder};
use crate::clock::plus_minutes;
use crate::finish::{Remains, SAUCE_A_HEAD_L, ShareOfLiquid, Target};
use crate::kitchen::Kept;
use crate::safety::keeps_days;
use ergastic_physics::juices::FAT_KG_PER_L;

/// Less than this is nothing to keep: meat and fat, kg; liquid, L.
const NO_KG: f64 = 0.05;
const NO_L: f64 = 0.05;
/// A day, min.
const DAY_MIN: f64 = 1440.0;
/// Strained fat keeps a month in the cold. Practice.
const FAT_DAYS: f64 = 30.0;

/// What is left.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema, IntoStaticStr)]
#[serde(rename_all = "snake_case")]
#[strum(serialize_all = "snake_case")]
pub enum Left {
    /// Sauce that was not eaten.
    Sauce,
    /// Liquid that was set aside thin.
    Broth,
    /// Fat that was skimmed.
    Fat,
    /// Meat that nobody had.
    Meat,
}

/// Something left over.
#[skip_serializing_none]
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct LeftOver {
    /// What.
    pub what: Left,
    /// How much of it, in words.
    pub name: String,
    /// How much, L, where it is poured.
    pub litres: Option<f64>,
    /// How much, kg, where it is weighed.
    pub kg: Option<f64>,
    /// Its salt and gelatin, in words; empty where it has none.
    pub strength: String,
    /// What it is good for.
    pub uses: String,
    /// How long it keeps.
    pub keeps: String,
    /// As it stands in the larder for the next dish, where it goes there.
    pub starts: Option<Kept>,
}

impl Left {
    /// Its name in JSON.
    pub fn key(self) -> &'static str {
        self.into()
    }

    /// As what it stands in the larder.
    fn larder(self) -> Option<Larder> {
        match self {
            Self::Sauce => Some(Larder::KeptSauce),
            Self::Broth => Some(Larder::KeptBroth),
            Self::Fat => Some(Larder::KeptFat),
            Self::Meat => None,
        }
    }
}

/// Sauce that is eaten with each plate, L. Practice.
fn eaten_l(target: Target) -> f64 {
    match target {
        Target::Broth => 0.25,
        Target::Coat | Target::Gravy => SAUCE_A_HEAD_L,
        Target::Glaze => 0.05,
    }
}

/// Whose it is, and when.
pub(super) struct Of<'a> {
    /// The cook's own id, by which what is kept of it is known.
    pub id: &'a str,
    pub dish: &'a str,
    pub now: Timestamp,
    pub voice: Voice,
}

impl Of<'_> {
    fn left(&self, what: Left, litres: Option<ShareOfLiquid>, kg: Option<f64>) -> LeftOver {
        let voice = self.voice;
        let code = voice.food_code();
        let days = keeps_days(code);
        let amount: Message = match (litres, kg) {
            (Some(share), _) => Message::quantity(Volume(share.litres)),
            (_, kg) => Message::quantity(Mass(kg.unwrap_or_default())),
        };
        let key = if days == [2, 2] { "two" } else { "three" };
        let most_days = if what == Left::Fat { FAT_DAYS } else { f64::from(days[0]) };
        let salt_pct = litres.map(|share| share.salt_g_per_kg / 10.0);
        let starts = what.larder().map(|larder| Kept {
            id: format!("{}-{}", self.id, what.key()),
            name: voice.render(say::kept_name(self.dish, what.key())).chars().take(80).collect(),
            puts: Ingredient {
                what: larder,
                ml: litres.map(|share| (share.litres * 1000.0).round()),
                g: kg.map(|kg| (kg * 1000.0).round()),
                salt_pct: salt_pct.map(|pct| (pct * 100.0).round() / 100.0),
                gelatin_pct: litres.map(|share| (share.gelatin_pct * 10.0).round() / 10.0),
            },
            until: plus_minutes(self.now, most_days * DAY_MIN),
        });
        LeftOver {
            what,
            name: voice.render(say::left(what.key(), amount)),
            litres: litres.map(|share| share.litres),
            kg,
            strength: litres
                .map(|share| {
                    voice.render(say::left_strength(Strength(share.salt_g_per_kg), Percent(share.gelatin_pct / 100.0)))
                })
                .unwrap_or_default(),
            uses: voice.render(say::left_uses(what.key())),
            keeps: voice.render(say::left_keeps(key, Guide(code.cold_c()), what.key())),
            starts,
        }
    }

    /// All that is left over of a meat and what the way to its sauce leaves.
    pub(super) fn left_over(&self, meat: &LiftedMeat, remains: Option<&Remains>, target: Target) -> Vec<LeftOver> {
        let mut left = Vec::new();
        if let Some(remains) = remains {
            let eaten_l = f64::from(meat.people) * eaten_l(target);
            let sauce = ShareOfLiquid { litres: remains.sauce.litres - eaten_l, ..remains.sauce };
            let liquids = [(Left::Sauce, sauce), (Left::Broth, remains.aside)];
            left.extend(
                (liquids.into_iter().filter(|(_, share)| share.litres >= NO_L))
                    .map(|(what, share)| self.left(what, Some(share), None)),
            );
            let fat_kg = remains.skimmed_l * FAT_KG_PER_L;
            left.extend((fat_kg >= NO_KG).then(|| self.left(Left::Fat, None, Some(fat_kg))));
        }
        let over_kg = meat.over_kg();
        left.extend((over_kg >= NO_KG).then(|| self.left(Left::Meat, None, Some(over_kg))));
        left
    }
}
