//! When will it be tender, and how sure is that: an ensemble of a thousand cooks.

mod answer;
mod evidence;
mod members;
mod record;
mod request;
mod resolve;
mod run;
mod stats;
mod words;

pub use answer::{Assumed, CurvePoint, Forecast, Inside, InsideFrame, Quantiles, Thumb, describe, forecast};
pub use evidence::{Evidence, Update, Weighted, update};
pub use request::{ForecastRequest, Heat, HeatSource, Method, Release, Settings, Wrap};
pub use resolve::{Case, PotHeat};
pub use run::come_up_s;
pub use stats::{chance, quantile};
pub use words::span;
