//! When will it be tender, and how sure is that: an ensemble of a thousand cooks.

mod ahead;
mod answer;
mod cautions;
mod describe;
mod evidence;
mod explain;
mod known;
mod meat;
mod notes;
mod own_time;
mod pressed;
mod request;
mod resolve;
mod stats;
mod thumb;
mod update;
mod weighted;
mod words;

pub use crate::ways::{ByHand, Filled, Heat, Mopping, StageRequest, Until, Wrap};
pub use ahead::{Ahead, Moved};
pub use answer::{
    Assumed, BandPoint, CurvePoint, Explained, Forecast, Inside, InsideFrame, Narrows, PartForecast, Quantiles, Rule,
    StageSpan, Thumb,
};
pub use describe::{complete, describe, forecast};
pub use evidence::{Evidence, Found, Probed};
pub use known::{Belief, Known};
pub use meat::{Meat, size_mm_schema};
pub(crate) use meat::{carries_meat, described, of_meat, with_meat};
pub use own_time::OwnTime;
pub use pressed::PressureMinutes;
pub use request::{Added, BodyFrom, ForBody, ForecastRequest};
pub(crate) use resolve::CORNED_SALT;
pub use resolve::{Leg, ResolvedDish, ResolvedPart, ResolvedStage};
pub use stats::{chance, correlation, quantile};
pub use update::{Update, softness_at, update, update_ahead};
pub use weighted::Weighted;
