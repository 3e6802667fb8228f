//! Every caution on one page, by the step where it belongs, under the code that the kitchen has chosen.

use ergastic_words::{FoodCode, Guide, Message, Minutes, Voice, Volume, safety as say};
use serde::Serialize;
use utoipa::ToSchema;

use super::cautions::{
    DANGER_C, DANGER_MIN, MIN_BATH_C, PIERCED_SAFE_C, WARM_PAST_C, WARM_WITHIN_H, cooked_bag_said, keeps_days,
    under_fat_said,
};
use super::cooled::cooled_by;
use ergastic_physics::pressure::MIN_LITRES;

/// A whole piece is safe from here with a rest of 3 min, and minced meat from here, °C. Published guidance.
const WHOLE_C: f64 = 63.0;
const MINCED_C: f64 = 71.0;

/// What kind of source a figure has.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum SourceKind {
    /// Guidance of food authorities.
    Published,
    /// What makers of the thing ask.
    Maker,
    /// How careful kitchens do it.
    Practice,
}

impl SourceKind {
    fn key(self) -> &'static str {
        match self {
            Self::Published => "published",
            Self::Maker => "maker",
            Self::Practice => "practice",
        }
    }
}

/// One caution.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub struct SafetyLine {
    /// In a sentence or two, with its figure.
    pub text: String,
    /// Where it comes from.
    pub source: SourceKind,
    /// The same in words.
    pub source_words: String,
}

/// The cautions of a step.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub struct SafetyPart {
    /// Its name.
    pub name: String,
    /// What to mind.
    pub lines: Vec<SafetyLine>,
}

/// A code that may be chosen, with its figures.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub struct CodeChoice {
    /// Which.
    pub code: FoodCode,
    /// Where it holds.
    pub name: String,
    /// Its figures in words.
    pub words: String,
    /// Hot food is held at this or above, °C.
    pub hot_hold_c: f64,
    /// It is warmed again to this, °C.
    pub reheat_c: f64,
    /// Cold food is kept at this or below, °C.
    pub cold_c: f64,
}

/// All of it.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
pub struct SafetyPage {
    /// What comes before all of it.
    pub defers: String,
    /// Whose figures it names.
    pub code: FoodCode,
    /// Those that may be chosen.
    pub codes: Vec<CodeChoice>,
    /// The cautions by step.
    pub parts: Vec<SafetyPart>,
}

/// A line of the page, and what it rests on.
type PageLine = (Message, SourceKind);

/// The cautions by step.
fn parts(voice: Voice) -> Vec<SafetyPart> {
    let line = |(said, source): PageLine| SafetyLine {
        text: voice.render(said),
        source,
        source_words: voice.render(say::page_source(source.key())),
    };
    let part = |(key, lines): (&'static str, Vec<PageLine>)| SafetyPart {
        name: voice.render(say::page_part(key)),
        lines: lines.into_iter().map(line).collect(),
    };
    cooked().into_iter().chain(kept(voice)).map(part).collect()
}

/// Up to the table.
fn cooked() -> Vec<(&'static str, Vec<PageLine>)> {
    use SourceKind::{Maker, Practice, Published};
    vec![
        (
            "board",
            vec![
                (say::raw_meat(), Published),
                (say::page_pierced(Guide(PIERCED_SAFE_C)), Published),
                (say::page_marinade(), Published),
                (say::page_frozen(), Published),
                (say::chilli(), Practice),
            ],
        ),
        ("pan", vec![(say::hot_fat(), Practice), (say::wine_flames(), Practice)]),
        (
            "heat",
            vec![
                (say::page_whole(Guide(WHOLE_C), Guide(MINCED_C)), Published),
                (say::page_slow(Minutes(WARM_WITHIN_H * 60.0), Guide(WARM_PAST_C)), Published),
                // A least is rounded up, or it would be none.
                (say::page_bath(Guide(MIN_BATH_C.ceil())), Published),
                (say::dried_beans(), Published),
                (say::page_juices(), Published),
                (say::lid_steam(), Practice),
                (say::page_dry(), Practice),
                (say::acid_in_aluminium(), Published),
                (say::cured_pink(), Practice),
            ],
        ),
        (
            "pressure",
            vec![(say::pressure_lid(), Maker), (say::page_full(), Maker), (say::page_least(Volume(MIN_LITRES)), Maker)],
        ),
        ("fire", vec![(say::coals_outdoors(), Published), (say::page_hot_iron(), Practice)]),
    ]
}

/// What is kept, and what comes to the table.
fn kept(voice: Voice) -> Vec<(&'static str, Vec<PageLine>)> {
    use SourceKind::Published;
    let code = voice.food_code();
    let [low, high] = code.hot_hold_elsewhere_c().map(Guide);
    let [danger_low, danger_high] = DANGER_C.map(Guide);
    vec![
        (
            "kept",
            vec![
                (say::page_danger(danger_low, danger_high, Minutes(DANGER_MIN)), Published),
                (say::hot_hold(Guide(code.hot_hold_c()), low, high), Published),
                (say::cooling(cooled_by(voice)), Published),
                (say::page_part_cooked(), Published),
                (
                    say::page_keep(if keeps_days(code) == [2, 2] { "two" } else { "three" }, Guide(code.cold_c())),
                    Published,
                ),
                (say::page_again(Guide(code.reheat_c())), Published),
                (under_fat_said(voice), Published),
                (cooked_bag_said(voice), Published),
            ],
        ),
        (
            "table",
            vec![(say::page_allergens(), Published), (say::page_eggs(), Published), (say::page_licensed(), Published)],
        ),
    ]
}

/// The page in a voice.
pub fn safety_page(voice: Voice) -> SafetyPage {
    let code = voice.food_code();
    let choice = |code: FoodCode| CodeChoice {
        code,
        name: voice.render(say::page_code(code.key())),
        words: voice.render(say::page_code_figures(
            Guide(code.hot_hold_c()),
            Guide(code.reheat_c()),
            Guide(code.cold_c()),
        )),
        hot_hold_c: code.hot_hold_c(),
        reheat_c: code.reheat_c(),
        cold_c: code.cold_c(),
    };
    SafetyPage {
        defers: voice.render(say::page_defers()),
        code,
        codes: FoodCode::ALL.map(choice).into(),
        parts: parts(voice),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn each_code_names_its_own_figures_and_no_other_code_s_as_its_own() {
        let figures = |code: FoodCode| [code.hot_hold_c(), code.reheat_c(), code.cold_c()];
        assert_eq!(figures(FoodCode::Usual), [63.0, 75.0, 5.0]);
        for code in FoodCode::ALL {
            let [hot, again, cold] = figures(code);
            assert!([57.0, 60.0, 63.0].contains(&hot) && [74.0, 75.0, 82.0].contains(&again), "{code:?}");
            assert!([4.0, 5.0, 8.0].contains(&cold) && !code.hot_hold_elsewhere_c().contains(&hot), "{code:?}");
            let page = safety_page(Voice::default().under(code));
            let said: String = page.parts.iter().flat_map(|part| &part.lines).map(|line| line.text.as_str()).collect();
            assert!(said.contains(&format!("Hold it at {hot:.0} °C")), "{code:?}: {said}");
            assert!(said.contains(&format!("its middle is {again:.0} °C")), "{code:?}: {said}");
        }
    }
}
