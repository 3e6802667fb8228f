//! What a match answers.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::drawn::DrawnHours;
use super::recipe::Checked;
use super::request::Sort;
use super::served::Served;
use crate::cuts::Shape;
use crate::cuts::{Cut, EatenAs};
use crate::forecast::PressureMinutes;
pub use crate::forecast::Quantiles;
use crate::forecast::{Assumed, Heat, StageRequest};
use crate::kitchen::{Kit, ThingKind};
use crate::plan::Plan;
use crate::safety::Caution;
use crate::ways::Method;

/// Whether a way fits.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Verdict {
    /// Ready in time with the chance asked for.
    Fits,
    /// More likely than not.
    Tight,
    /// Likelier not.
    TooLate,
    /// Not for this cut, this kit or how it is eaten.
    Unsuitable,
}

/// What it burns, roughly.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Fuel {
    /// From the wall or as gas, kWh.
    pub kwh: f64,
    /// Charcoal or wood, kg.
    pub solid_kg: f64,
    /// In words.
    pub words: String,
}

/// What is left to wash.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct WashingUp {
    /// Large things.
    pub things: u32,
    /// In words.
    pub words: String,
}

/// One way of cooking it, in one variant.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Choice {
    /// A stable name, such as `braise.oven_150.whole`.
    pub id: String,
    /// Its name on the screen.
    pub name: String,
    /// Way; of a chain, its first.
    pub method: Method,
    /// Heat; of a chain, its first.
    pub heat: Heat,
    /// The stages of a chain.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub stages: Option<Vec<StageRequest>>,
    /// How it is cut up.
    pub shape: Shape,
    /// Whether it fits.
    pub verdict: Verdict,
    /// P(tender in time), starting as soon as someone is up; early meat is held hot.
    pub chance_ready: f64,
    /// P(tender and not too far at lifting) if it starts at `start_by` and the heat simply stays on.
    pub chance_left_on: f64,
    /// Latest start for the certainty, at the bench or with the fire; `null` where it never is tender.
    pub start_by: Option<Timestamp>,
    /// The meat meets the heat, if it starts as soon as someone is up.
    pub heat_on_at: Timestamp,
    /// Lifting for the bell.
    pub lift_at: Timestamp,
    /// Tender, from the meat meeting the heat.
    pub ready_min: Quantiles,
    /// Gone too far.
    pub overcooked_min: Quantiles,
    /// Tender by P5, P10, … P95, min; `null` from where no cook gets there.
    pub ready_at_min: Vec<Option<f64>>,
    /// Time at pressure, where there is some.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub at_pressure_min: Option<Quantiles>,
    /// The minutes of a pressure pot, set for the certainty asked for.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub pressure: Option<PressureMinutes>,
    /// From beginning to the meat meeting the heat, min.
    pub lead_min: f64,
    /// Hands-on minutes from salt to plates.
    pub hands_on_min: f64,
    /// From lifting to plates.
    pub finishing_min: f64,
    /// What half of such pieces wait hot, if it starts at `start_by`, min.
    pub hold_min: f64,
    /// Cooked and edible, kg.
    pub yield_kg: f64,
    /// Portions.
    pub portions: f64,
    /// Cooked meat for each of those who eat, g.
    pub grams_a_head: f64,
    /// Raw price of a portion; `null` without a price.
    pub cost_per_portion: Option<f64>,
    /// Raw price for each of those who eat.
    pub cost_a_head: Option<f64>,
    /// Liquid for the sauce, L.
    pub sauce_l: f64,
    /// Gelatin in it, %.
    pub body_pct: f64,
    /// How the liquid will feel.
    pub sauce_body: String,
    /// Whether it gets a bark.
    pub bark: bool,
    /// What it burns.
    pub fuel: Fuel,
    /// What is left to wash.
    pub washing_up: WashingUp,
    /// Drawn from the bell: at the latest start that is sure enough; `null` where that is past.
    pub latest: Option<DrawnHours>,
    /// Drawn as if it began at once.
    pub soonest: Option<DrawnHours>,
    /// From now to the latest sure start, min; 0 where it is past.
    pub slack_min: f64,
    /// What it would ask of hands that sleep or are away.
    pub clashes: Vec<String>,
    /// One sentence: why, or why not.
    pub why: String,
    /// Things given up to be sooner, such as browning.
    pub gives_up: u32,
    /// Against the best of its way; empty for the best.
    pub trade: String,
    /// Cautions that bind.
    pub cautions: Vec<Caution>,
    /// The plan this way would be.
    pub plan: Plan,
}

/// One way: its best variant, and the others.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct MatchedWay {
    /// The best variant.
    #[serde(flatten)]
    pub best: Choice,
    /// The others, best first.
    pub variants: Vec<Choice>,
}

/// The question whose answer narrows the band most.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Ask {
    /// The request's field it would fill.
    pub field: String,
    /// The question.
    pub question: String,
    /// How a cook finds it out.
    pub how: String,
    /// Minutes by which P10 to P90 would narrow.
    pub narrows_min: f64,
}

/// A cut that behaves like the one that is missing.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Substitute {
    /// Which.
    pub cut: Cut,
    /// Its name.
    pub name: String,
    /// What changes.
    pub why: String,
    /// Raw, for the same plates, kg.
    pub mass_kg: f64,
    /// Half of such pieces are tender by then, min.
    pub ready_min: Option<f64>,
}

/// A cut that could be bought for a way.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Buy {
    /// Which.
    pub cut: Cut,
    /// Its name.
    pub name: String,
    /// Raw, bone in, kg.
    pub mass_kg: f64,
    /// Pieces as they usually come.
    pub pieces: u32,
    /// What that costs; `null` without a price.
    pub cost: Option<f64>,
    /// The same for each who eats.
    pub cost_a_head: Option<f64>,
    /// How it would be eaten.
    pub eaten_as: EatenAs,
    /// Tender, from the meat meeting the heat.
    pub ready_min: Quantiles,
    /// P(tender in time), where there is a bell.
    pub chance_ready: f64,
    /// Whether it fits.
    pub verdict: Verdict,
    /// Latest start for the certainty.
    pub start_by: Option<Timestamp>,
    /// Drawn from the bell: at the latest start that is sure enough; `null` where that is past.
    pub latest: Option<DrawnHours>,
    /// Drawn as if it began at once.
    pub soonest: Option<DrawnHours>,
    /// Cooked and edible, kg.
    pub yield_kg: f64,
    /// Why this much, and what is special about it.
    pub why: String,
}

/// One joint, sliced tonight and pulled tomorrow.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Twice {
    /// Ready to slice, from the meat meeting the heat.
    pub slice_min: Quantiles,
    /// Ready to pull, from the rest being back on the heat the next day.
    pub pull_min: Quantiles,
    /// In words.
    pub words: String,
    /// Cautions that bind.
    pub cautions: Vec<Caution>,
}

/// What lies on the block, with everything filled in.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct OnTheBlock {
    /// Raw, bone in, all together, kg.
    pub mass_kg: f64,
    /// The largest piece, mm thick.
    pub thickness_mm: f64,
    /// Whether that was said, or is a guess by its weight.
    pub measured: bool,
    /// Pieces.
    pub pieces: u32,
    /// Bone, %.
    pub bone_pct: f64,
    /// How it is eaten.
    pub eaten_as: EatenAs,
}

/// From which chance on a way has a verdict.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct VerdictFrom {
    /// It fits.
    pub fits: f64,
    /// It is tight.
    pub tight: f64,
}

/// Every way, best first.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Matched {
    /// Whether this cut belongs to this job at all.
    pub suitable: bool,
    /// Why not, or what the best way is.
    pub why: String,
    /// One best variant a method, best first.
    pub ways: Vec<MatchedWay>,
    /// Ways in two goes, where they help.
    pub two_stage: Vec<Choice>,
    /// What comes first.
    pub sort: Sort,
    /// The rule of that.
    pub sort_rule: String,
    /// What would narrow the band most.
    pub ask: Option<Ask>,
    /// Lean or mixed meat: what to mind, with the remedy.
    pub warnings: Vec<Caution>,
    /// Cuts that behave alike.
    pub substitutes: Vec<Substitute>,
    /// Without a cut: what to buy.
    pub buy: Vec<Buy>,
    /// The recipe's words, checked.
    pub recipe: Option<Checked>,
    /// One joint, two dinners.
    pub twice: Option<Twice>,
    /// Plates on the table.
    pub serve_at: Timestamp,
    /// When it was asked.
    pub now: Timestamp,
    /// The chance asked for.
    pub certainty: f64,
    /// How many eat.
    pub people: u32,
    /// How it comes to the table.
    pub served: Served,
    /// What is free to cook on.
    #[schema(value_type = Vec<Kit>)]
    pub kit: Vec<ThingKind>,
    /// What is asked for it, a kilo; `null` where no price is known.
    pub price_per_kg: Option<f64>,
    /// From which chance on a way fits, or is tight.
    pub verdict_from: VerdictFrom,
    /// What lies on the block; `null` without a cut, or where it is not for this job.
    pub on_the_block: Option<OnTheBlock>,
    /// Cooked meat reckoned for each of those who eat, g.
    pub portion_g: f64,
    /// Raw mass all this is for, kg.
    pub mass_kg: f64,
    /// What was filled in.
    pub assumed: Vec<Assumed>,
    /// Oddities worth saying.
    pub notes: Vec<String>,
}
