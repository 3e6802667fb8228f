//! Cold portions: pressed and sliced, bound in a tin, rolled and cut; heated through as small pieces.

use std::f64::consts::PI;

use ergastic_words::{
    Dial, Guide, Length, Mass, Message, Minutes, RoughMinutes, Spoons, Voice, Volume, afterwards as say,
};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::meat::LiftedMeat;
use super::reheat::{OVEN_C, fives, in_the_fridge_min, in_the_oven_min};
use crate::cuts::EatenAs;
use crate::finish::{ShareOfLiquid, Thickener};
use ergastic_physics::body::DENSITY;

/// How it is made up.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum MadeUp {
    /// Between two boards, under a weight.
    Pressed,
    /// Flaked into its jelly, in a tin.
    Bound,
    /// Flaked and rolled in film.
    Rolled,
}

/// One way of making it up.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct ColdPortion {
    /// How.
    pub made_up: MadeUp,
    /// Its name.
    pub name: String,
    /// How it is done, with its figures.
    pub how: String,
    /// Minutes in the cold until it is firm.
    pub chill_min: f64,
    /// Pieces it gives.
    pub pieces: u32,
    /// How a piece comes to the table.
    pub serve: String,
    /// Minutes in the oven until the middle is hot; nothing of what is eaten cold.
    pub heat_min: f64,
}

/// It is made up while it is so warm, °C.
const MADE_UP_C: f64 = 30.0;
/// A weight of so many times the meat, kg, and the least.
const PRESSED_UNDER: f64 = 2.0;
const MIN_WEIGHT_KG: f64 = 2.0;
/// Pressed meat stands so much lower.
const PRESSED_TO: f64 = 0.8;
const PRESSED_SLICE_MM: f64 = 6.0;
/// Liquid to bind a kilo, L, and the gelatin it has to have to hold a slice, %. Working values.
const BINDS_L_PER_KG: f64 = 0.2;
const BINDS_PCT: f64 = 4.0;
/// A tin's loaf, mm; what is cut from it, kg, and its sides, mm. Practice.
const LOAF_MM: [f64; 3] = [60.0, 100.0, 250.0];
const PIECE_KG: f64 = 0.12;
const PIECE_MM: [f64; 3] = [40.0, 55.0, 60.0];
/// A roll and the rounds cut from it, mm. Practice.
const ROLL_MM: f64 = 60.0;
const ROUND_MM: f64 = 40.0;

impl MadeUp {
    fn key(self) -> &'static str {
        match self {
            Self::Pressed => "pressed",
            Self::Bound => "bound",
            Self::Rolled => "rolled",
        }
    }
}

/// What such meat can be made up to, with the liquid it is bound by.
pub(super) fn cold_portions(meat: &LiftedMeat, liquid: Option<ShareOfLiquid>, voice: Voice) -> Vec<ColdPortion> {
    let to_c = voice.food_code().reheat_c();
    let made = |made_up: MadeUp, said: Message, chill_min: f64, pieces: u32, heated: Option<[f64; 3]>| {
        let heat_min = heated.map_or(0.0, |sides| fives(in_the_oven_min(sides, to_c)));
        let serve = match heated {
            Some(_) => say::cold_heat(Dial(OVEN_C), Minutes(heat_min), Guide(to_c)),
            None => say::cold_heat_not(),
        };
        let name = voice.render(say::cold_name(made_up.key()));
        ColdPortion { made_up, name, how: voice.render(said), chill_min, pieces, serve: voice.render(serve), heat_min }
    };
    let count = |share: f64| share.floor().max(1.0) as u32;
    let mut all = Vec::new();
    let [thin, wide, long] = meat.sides_mm;
    if matches!(meat.eaten_as, EatenAs::Slice | EatenAs::Probe) {
        let chill_min = in_the_fridge_min([thin * PRESSED_TO, wide, long], MADE_UP_C);
        let slice_kg = DENSITY * PRESSED_SLICE_MM * thin * wide * 1e-9;
        let slices = count(meat.kg / slice_kg);
        let weight = Mass((PRESSED_UNDER * meat.kg).max(MIN_WEIGHT_KG).ceil());
        let said = say::cold_pressed(weight, RoughMinutes(chill_min), slices, Length(PRESSED_SLICE_MM));
        all.push(made(MadeUp::Pressed, said, chill_min, slices, None));
    }
    if let Some(liquid) = liquid {
        // No more than there is.
        let litres = f64::min(BINDS_L_PER_KG * meat.kg, liquid.litres);
        let missing_g = f64::max(0.0, (BINDS_PCT - liquid.gelatin_pct) * 10.0 * litres);
        let more = if missing_g >= 1.0 { "gelatin" } else { "enough" };
        let chill_min = in_the_fridge_min(LOAF_MM, MADE_UP_C);
        let pieces = count((meat.kg + litres) / PIECE_KG);
        let gelatin = Spoons { grams: missing_g, teaspoon_g: Thickener::Gelatin.teaspoon_g() };
        let tin = Volume(((meat.kg / DENSITY * 1000.0 + litres) * 4.0).ceil() / 4.0);
        let said = say::cold_bound(Volume(litres), more, gelatin, tin, RoughMinutes(chill_min), pieces);
        all.push(made(MadeUp::Bound, said, chill_min, pieces, Some(PIECE_MM)));
    }
    if !matches!(meat.eaten_as, EatenAs::Slice) {
        let chill_min = in_the_fridge_min([ROLL_MM, ROLL_MM, 6.0 * ROLL_MM], MADE_UP_C);
        let round_kg = DENSITY * PI / 4.0 * (ROLL_MM / 1000.0).powi(2) * ROUND_MM / 1000.0;
        let pieces = count(meat.kg / round_kg);
        let said = say::cold_rolled(Length(ROLL_MM), RoughMinutes(chill_min), pieces, Length(ROUND_MM));
        all.push(made(MadeUp::Rolled, said, chill_min, pieces, Some([ROUND_MM, ROLL_MM, ROLL_MM])));
    }
    all
}
