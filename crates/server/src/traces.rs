//! What the probes of a cook have read, thinned to what a forecast and a drawing need.

use ergastic_core::clock::minutes_between;
use ergastic_core::cook::{Trace, probes_of};
use ergastic_store::{Result, Store, StoredCook};
use jiff::Timestamp;

/// Readings of a probe over a whole cook at the most.
const MAX: f64 = 1500.0;
/// Closer than this they are not needed, s.
const EVERY_S: f64 = 20.0;

/// The readings of a cook's probes up to now.
pub async fn traces(store: &Store, cook: &StoredCook, now: Timestamp) -> Result<Vec<Trace>> {
    let from = cook.events.iter().map(|event| event.at).min().unwrap_or(cook.opened_at).min(cook.opened_at);
    let every_s = f64::max(EVERY_S, minutes_between(from, now) * 60.0 / MAX);
    let mut traces = Vec::new();
    for probe in probes_of(&cook.events) {
        let readings = store.thinned(&probe, from, now, every_s).await?;
        traces.push(Trace { probe, readings });
    }
    Ok(traces)
}
