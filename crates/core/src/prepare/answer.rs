//! What the bench comes to.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::balance::Balance;
use super::because::Reasons;
use super::dial::{CoalRing, DialSetting};
use super::later::{LaterAnswer, TakeOut};
use super::pot::PotAnswer;
use super::salt::SaltAnswer;
use super::schools::School;
use super::sear::SearPlan;
use super::seasoning::Seasoning;
use super::shopping::ShoppingItem;
use super::trim::Trimmed;
use crate::forecast::{Assumed, Forecast};
use crate::safety::Caution;

/// One dish on the bench, salt to lid.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Prepared {
    /// Through the pan.
    pub sear: SearPlan,
    /// The liquid in this vessel; `null` where the way needs none.
    pub pot: Option<PotAnswer>,
    /// Salt.
    pub salt: SaltAnswer,
    /// Salt at the end of the cook, as it is eaten; `null` where there is no liquid.
    pub seasoning: Option<Seasoning>,
    /// Trimmed, bone in, kg.
    pub trimmed_kg: f64,
    /// Plates of 165 g cooked.
    pub portions: f64,
    /// Cooked and edible, kg.
    pub plate_kg: f64,
    /// What to mind.
    pub warnings: Vec<Caution>,
    /// Raw → trimmed → pieces.
    pub trimmed: Trimmed,
    /// The sauce beside salt; `null` where there is no liquid.
    pub balance: Option<Balance>,
    /// Where cooks disagree.
    pub schools: Vec<School>,
    /// What rules each place of the bench.
    pub because: Reasons,
    /// The dish at each setting of its heat.
    pub dial: Vec<DialSetting>,
    /// Coals, where it stands on them.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub coals: Option<CoalRing>,
    /// What goes in later, first things first.
    pub later: Vec<LaterAnswer>,
    /// What comes out again.
    pub take_out: Vec<TakeOut>,
    /// What has to be bought.
    pub shopping: Vec<ShoppingItem>,
    /// Hours over the heat reckoned with.
    pub hours: f64,
    /// What all this is read from.
    pub forecast: Forecast,
    /// What was filled in.
    pub assumed: Vec<Assumed>,
}
