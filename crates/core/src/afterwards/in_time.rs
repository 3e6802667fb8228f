//! Whether the sauce comes home before the bell, and what would be quicker.

use ergastic_words::{Minutes, Percent, Strength, Voice, afterwards as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::error::Result;
use crate::finish::{Move, Sauce, SauceChoices, SauceRequest, Skim, Target, Thickener, sauce};

/// A difference that is none, min.
const SOONER_MIN: f64 = 2.0;

/// A quicker way to a sauce.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Quicker {
    /// What is done instead.
    pub words: String,
    /// Where it ends.
    pub ends: String,
    /// Minutes of it.
    pub min: f64,
    /// What is chosen by it.
    pub choices: SauceChoices,
}

/// The sauce against the bell.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct InTime {
    /// Minutes of work to the sauce.
    pub work_min: f64,
    /// Minutes until it has to be poured; less than none once that is past.
    pub left_min: f64,
    /// It takes longer than there is.
    pub short: bool,
    /// In a sentence.
    pub words: String,
    /// What would be quicker, the quickest last.
    pub quicker: Vec<Quicker>,
}

/// The moves without those that boil down, thickened to the same body.
fn thickened(now: &Sauce, request: &SauceRequest) -> Option<SauceChoices> {
    let body = request.target.body();
    let reduces = now.moves.iter().any(|next| matches!(next, Move::Reduce { .. }));
    if !reduces || body < 1.0 {
        return None;
    }
    let with = if request.thickener == Thickener::None { Thickener::Cornflour } else { request.thickener };
    let stays = |next: &&Move| !matches!(next, Move::Reduce { .. } | Move::Thicken { .. });
    let moves: Vec<Move> =
        (now.moves.iter().filter(stays).copied()).chain([Move::Thicken { with, to_body: body.min(2.0) }]).collect();
    Some(SauceChoices { thickener: Some(with), moves: Some(moves), ..SauceChoices::default() })
}

/// The same with the fat poured off from below: a deep cap takes long with a ladle.
fn with_a_jug(choices: SauceChoices) -> Option<SauceChoices> {
    let mut moves = choices.moves.clone()?;
    let ladled = moves.iter_mut().find(|next| matches!(next, Move::Skim { with: Skim::Ladle }))?;
    *ladled = Move::Skim { with: Skim::Spout };
    Some(SauceChoices { skim: Some(Skim::Spout), moves: Some(moves), ..choices })
}

/// What is kept set aside before anything is boiled down.
fn tonight_first(now: &Sauce) -> Option<SauceChoices> {
    let (place, aside) = now.moves.iter().enumerate().find(|(_, next)| matches!(next, Move::SetAside { .. }))?;
    let first = now.moves.iter().position(|next| matches!(next, Move::Reduce { .. }))?;
    if place < first {
        return None;
    }
    let before = now.path.iter().filter(|leg| !leg.done).nth(first)?;
    let end_l = now.path.last()?.after.liquid_l;
    let whole_l = before.curve.first()?[0];
    let Move::SetAside { litres } = *aside else { return None };
    // The same share of what is not yet boiled down.
    let share = litres / f64::max(1e-9, litres + end_l);
    let mut moves = now.moves.clone();
    moves.remove(place);
    moves.insert(first, Move::SetAside { litres: whole_l * share });
    if let Some(Move::Reduce { to_l, .. }) = moves.get_mut(first + 1) {
        *to_l *= 1.0 - share;
    }
    Some(SauceChoices { moves: Some(moves), ..SauceChoices::default() })
}

/// Skimmed, and served in deep plates.
fn as_a_broth(now: &Sauce, request: &SauceRequest) -> Option<SauceChoices> {
    let skims = |next: &&Move| matches!(next, Move::Skim { .. } | Move::Strain { .. });
    (request.target != Target::Broth).then(|| SauceChoices {
        target: Some(Target::Broth),
        moves: Some(now.moves.iter().filter(skims).copied().collect()),
        ..SauceChoices::default()
    })
}

/// The sauce of a request, with so many minutes until it has to be poured.
///
/// `lifted` says whether the meat is out: until then the minutes are those that the sheet has for it.
///
/// # Errors
/// Names the field that can't be used.
pub(super) fn in_time(
    request: &SauceRequest,
    now: &Sauce,
    left_min: f64,
    lifted: bool,
    voice: Voice,
) -> Result<InTime> {
    let work_min = now.left_min;
    let over_min = work_min - left_min;
    let short = work_min > 0.5 && over_min > 1.0;
    let said = match (short, left_min >= 0.0) {
        (false, _) => say::time_enough(Minutes(work_min), Minutes(left_min.max(0.0)), Minutes((-over_min).max(0.0))),
        (true, true) if !lifted => {
            say::time_short_on_the_sheet(Minutes(work_min), Minutes(left_min), Minutes(over_min))
        }
        (true, true) => say::time_short(Minutes(work_min), Minutes(left_min), Minutes(over_min)),
        (true, false) => say::time_past(Minutes(work_min), Minutes(-left_min)),
    };
    let mut quicker = Vec::new();
    if short {
        let as_it_is = SauceChoices { moves: Some(now.moves.clone()), ..SauceChoices::default() };
        let ways = [
            ("tonight", tonight_first(now)),
            ("jug", with_a_jug(as_it_is)),
            ("thicken", thickened(now, request)),
            ("thicken_jug", thickened(now, request).and_then(with_a_jug)),
            ("broth", as_a_broth(now, request)),
        ];
        for (key, choices) in ways.into_iter().filter_map(|(key, choices)| Some((key, choices?))) {
            let other = sauce(&SauceRequest {
                skim: choices.skim.unwrap_or(request.skim),
                target: choices.target.unwrap_or(request.target),
                thickener: choices.thickener.unwrap_or(request.thickener),
                moves: choices.moves.clone(),
                ..request.clone()
            })?;
            // A jug for a thin cap saves nothing over the way before it.
            let saves_over =
                if key == "thicken_jug" { quicker.last().map_or(work_min, |way: &Quicker| way.min) } else { work_min };
            if other.left_min < saves_over - SOONER_MIN {
                let min = other.left_min;
                let gelatin = Percent(other.final_gelatin_pct / 100.0);
                quicker.push(Quicker {
                    words: voice.render(say::quicker(key, Minutes(min))),
                    ends: voice.render(say::quicker_ends(Strength(other.final_salt_g_per_kg), gelatin)),
                    min,
                    choices,
                });
            }
        }
        quicker.sort_by(|a, b| b.min.total_cmp(&a.min));
    }
    Ok(InTime { work_min, left_min, short, words: voice.render(said), quicker })
}
