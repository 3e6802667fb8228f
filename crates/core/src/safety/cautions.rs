//! What can hurt someone, said only where it binds. Figures are published guidance; local food codes come first.

use ergastic_words::{
    FoodCode, Guide, Message, Minutes, Percent, RoughMinutes, Temperature, Voice, Volume, safety as say,
};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::cooled::cooled_by;
use crate::heat::pot::Material;
use ergastic_physics::pressure::MIN_LITRES;
use ergastic_physics::tender::SOFTENS_FROM_C;

/// A caution that binds in this plan.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Caution {
    /// A stable name.
    pub id: String,
    /// One or two short sentences.
    pub text: String,
}

impl Caution {
    /// A caution with its name and words.
    pub fn new(id: &str, said: Message, voice: Voice) -> Self {
        Self { id: id.to_owned(), text: voice.render(said) }
    }
}

/// The middle of the piece should pass this within [`WARM_WITHIN_H`], °C. Published guidance for slow cooking.
pub const WARM_PAST_C: f64 = 54.0;
/// Hours within which the middle should be warm. Published guidance.
pub const WARM_WITHIN_H: f64 = 6.0;
/// No bath is run below this, °C. Published guidance.
pub const MIN_BATH_C: f64 = 54.4;
/// A cold place is warmer than this under some codes: there it keeps a day or two less, °C.
const COLD_C: f64 = 5.0;
/// Pierced meat is safe once its middle has been this warm, °C. Published guidance.
pub const PIERCED_SAFE_C: f64 = 75.0;
/// Meat under fat is kept this cold, °C. Published guidance.
pub const UNDER_FAT_C: f64 = 4.0;
/// A cooked bag keeps longer than a few days only at this or below, °C. Published guidance.
pub const COOKED_BAG_C: f64 = 3.0;
/// So sharp is a liquid that bites bare aluminium over hours, as a share of it in acid. Working value: half a bottle of wine in a
/// litre and a half.
const BITES: f64 = 0.0012;

/// Between these bacteria grow, °C. Published guidance (4 to 60 °C).
pub const DANGER_C: [f64; 2] = [4.0, 60.0];
/// So long in all between them, and cooked food is thrown away, min. Published guidance (4 h).
pub const DANGER_MIN: f64 = 240.0;

/// Minutes it has been between 4 and 60 °C, counted from readings or from the model.
pub fn in_danger(minutes: f64, read: bool, voice: Voice) -> Caution {
    let [low, high] = DANGER_C.map(Guide);
    let counted = if read { "readings" } else { "model" };
    let said = say::in_danger(RoughMinutes(minutes), counted, low, high, Minutes(DANGER_MIN));
    Caution::new("in_danger", said, voice)
}

/// The middle stays cool too long.
pub fn slow_warming(hours_to_warm: Option<f64>, voice: Voice) -> Option<Caution> {
    let too_slow = hours_to_warm.is_none_or(|hours| hours > WARM_WITHIN_H);
    let said = say::slow_warming(Minutes(WARM_WITHIN_H * 60.0), Guide(WARM_PAST_C));
    too_slow.then(|| Caution::new("slow_warming", said, voice))
}

/// It has been pierced, pounded or studded and stays cool.
pub fn pierced(hottest_core_c: f64, voice: Voice) -> Caution {
    Caution::new("pierced", say::pierced(Temperature(hottest_core_c), Guide(PIERCED_SAFE_C)), voice)
}

/// A bath or a hold too cool to soften anything.
pub fn not_softening(medium_c: f64, voice: Voice) -> Caution {
    let said = say::held_not_softened(Temperature(medium_c), Guide(SOFTENS_FROM_C));
    Caution::new("held_not_softened", said, voice)
}

/// A hold below the usual figure.
pub fn cool_hold(at_c: f64, voice: Voice) -> Caution {
    let code = voice.food_code();
    let [low, high] = code.hot_hold_elsewhere_c().map(Guide);
    Caution::new("cool_hold", say::cool_hold(Temperature(at_c), Guide(code.hot_hold_c()), low, high), voice)
}

/// Cooked in part, then chilled.
pub fn part_cooked(voice: Voice) -> Caution {
    Caution::new("part_cooked_chilled", say::part_cooked(cooled_by(voice)), voice)
}

/// Anything under fat.
pub fn under_fat(voice: Voice) -> Caution {
    Caution::new("under_fat", under_fat_said(voice), voice)
}

/// The same before it is a caution of one dish.
pub(super) fn under_fat_said(voice: Voice) -> Message {
    say::under_fat(keeps_days(voice.food_code())[1], Guide(UNDER_FAT_C))
}

/// A bag that was cooked shut.
pub fn cooked_bag(voice: Voice) -> Caution {
    Caution::new("cooked_bag", cooked_bag_said(voice), voice)
}

pub(super) fn cooked_bag_said(voice: Voice) -> Message {
    let code = voice.food_code();
    say::cooked_bag(cooled_by(voice), keeps_days(code)[1], Guide(code.cold_c()), Guide(COOKED_BAG_C))
}

/// Days that cooked food keeps in the cold under a code: a day less where the cold may be milder. Published guidance.
pub fn keeps_days(code: FoodCode) -> [u32; 2] {
    if code.cold_c() > COLD_C { [2, 2] } else { [3, 4] }
}

/// Something sharp for hours in bare aluminium; nothing where the liquid is mild or the pot another. Acid as a share of the liquid.
pub fn acid_in_aluminium(acid: f64, material: Material, voice: Voice) -> Option<Caution> {
    (material == Material::Aluminium && acid > BITES)
        .then(|| Caution::new("acid_in_aluminium", say::acid_in_aluminium(), voice))
}

/// Cured meat keeps its colour.
pub fn cured_pink(voice: Voice) -> Caution {
    Caution::new("cured_pink", say::cured_pink(), voice)
}

/// Raw meat that is still warming: so long so far, min.
pub fn raw_warming(minutes: f64, voice: Voice) -> Caution {
    let said = say::raw_warming(RoughMinutes(minutes), Guide(WARM_PAST_C), Minutes(WARM_WITHIN_H * 60.0));
    Caution::new("raw_warming", said, voice)
}

/// A lid under pressure.
pub fn pressure_lid(voice: Voice) -> Caution {
    Caution::new("pressure_lid", say::pressure_lid(), voice)
}

/// A pressure pot with too much in it.
pub fn pressure_full(share: f64, voice: Voice) -> Caution {
    Caution::new("pressure_full", say::pressure_full(Percent(share)), voice)
}

/// Little, but with the juice that runs first enough to come up to pressure.
pub fn pressure_little(litres: f64, voice: Voice) -> Caution {
    let least = Volume(MIN_LITRES);
    let said =
        if litres < 0.001 { say::pressure_own_juice(least) } else { say::pressure_little(Volume(litres), least) };
    Caution::new("pressure_little", said, voice)
}

/// A pressure pot with too little in it.
pub fn pressure_dry(litres: f64, voice: Voice) -> Caution {
    let least = Volume(MIN_LITRES);
    let said = if litres < 0.001 { say::pressure_empty(least) } else { say::pressure_dry(Volume(litres), least) };
    Caution::new("pressure_dry", said, voice)
}

/// Burning charcoal.
pub fn coals_outdoors(voice: Voice) -> Caution {
    Caution::new("coals_outdoors", say::coals_outdoors(), voice)
}

/// Frozen meat in a slow cooker.
pub fn thaw_first(voice: Voice) -> Caution {
    Caution::new("thaw_first", say::thaw_first(), voice)
}

/// Frozen meat in general.
pub fn frozen_start(voice: Voice) -> Caution {
    Caution::new("frozen_start", say::frozen_start(), voice)
}

/// Bites in dry air.
pub fn small_in_pit(voice: Voice) -> Caution {
    Caution::new("small_in_pit", say::small_in_pit(), voice)
}

/// The liquid runs out before the end.
pub fn boils_dry(hours: f64, voice: Voice) -> Caution {
    Caution::new("boils_dry", say::boils_dry(RoughMinutes(hours * 60.0)), voice)
}

/// Raw meat on the board.
pub fn raw_meat(voice: Voice) -> Caution {
    Caution::new("raw_meat", say::raw_meat(), voice)
}

/// Lifting the lid.
pub fn lid_steam(voice: Voice) -> Caution {
    Caution::new("lid_steam", say::lid_steam(), voice)
}

/// Wet meat in hot fat.
pub fn hot_fat(voice: Voice) -> Caution {
    Caution::new("hot_fat", say::hot_fat(), voice)
}

/// Wine into a hot pan.
pub fn wine_flames(voice: Voice) -> Caution {
    Caution::new("wine_flames", say::wine_flames(), voice)
}

/// Keeping it hot.
pub fn hot_hold(voice: Voice) -> Caution {
    let code = voice.food_code();
    let [low, high] = code.hot_hold_elsewhere_c().map(Guide);
    Caution::new("hot_hold", say::hot_hold(Guide(code.hot_hold_c()), low, high), voice)
}

/// Leftovers.
pub fn cooling(voice: Voice) -> Caution {
    Caution::new("cooling", say::cooling(cooled_by(voice)), voice)
}

/// A marinade that raw meat lay in.
pub fn marinade(voice: Voice) -> Caution {
    Caution::new("marinade", say::marinade(), voice)
}

/// Chilli on the hands.
pub fn chilli(voice: Voice) -> Caution {
    Caution::new("chilli", say::chilli(), voice)
}

/// Dried beans.
pub fn dried_beans(slow_cooker: bool, voice: Voice) -> Caution {
    Caution::new("dried_beans", if slow_cooker { say::dried_beans_slow_cooker() } else { say::dried_beans() }, voice)
}
