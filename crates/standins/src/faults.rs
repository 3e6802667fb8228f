//! What goes wrong with a probe, always in the same way for the same scene.

use serde::Deserialize;
use uuid::Uuid;

/// The kitchen's air, °C.
const AIR_C: f64 = 21.0;
/// A tip that fell out comes to the air's temperature with this time constant, min.
const COOLS_MIN: f64 = 2.0;

/// What goes wrong.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Deserialize)]
#[serde(rename_all = "snake_case")]
pub enum Kind {
    /// Some readings are lost on the way.
    Dropout,
    /// It creeps away.
    Drift,
    /// Its tip is in the liquid or the air.
    WrongPlace,
    /// It fell out.
    PulledOut,
    /// Nothing comes from it.
    Unplugged,
}

/// Something that goes wrong for a while.
#[derive(Debug, Clone, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Fault {
    /// What.
    pub kind: Kind,
    /// From this minute of the cook.
    pub from_min: f64,
    /// For so long.
    pub for_min: f64,
    /// Of a dropout: the share that is lost.
    #[serde(default)]
    pub share: f64,
    /// Of a drift: how fast.
    #[serde(default)]
    pub k_per_h: f64,
}

/// A figure between 0 and 1 that is the same for the same name and minute.
fn chance(name: &str, minute: f64) -> f64 {
    let made = Uuid::new_v5(&Uuid::NAMESPACE_OID, format!("{name} {minute:.3}").as_bytes());
    made.as_u64_pair().0 as f64 / u64::MAX as f64
}

/// Noise of spread 1: the sum of four even chances, near enough to a normal.
pub fn noise(name: &str, minute: f64) -> f64 {
    let sum: f64 = (0..4).map(|i| chance(&format!("{name} noise {i}"), minute)).sum();
    (sum - 2.0) * 3.0_f64.sqrt()
}

/// What a probe with faults reads in place of what its tip has; nothing where nothing comes.
pub fn strange(faults: &[Fault], name: &str, minute: f64, celsius: f64, medium_c: f64) -> Option<f64> {
    let mut reads = celsius;
    for fault in faults {
        let since = minute - fault.from_min;
        if !(0.0..fault.for_min).contains(&since) {
            continue;
        }
        match fault.kind {
            Kind::Unplugged => return None,
            Kind::Dropout if chance(name, minute) < fault.share => return None,
            Kind::Dropout => {}
            Kind::Drift => reads += fault.k_per_h * since / 60.0,
            Kind::WrongPlace => reads = medium_c - 0.5,
            Kind::PulledOut => reads = AIR_C + (reads - AIR_C) * (-since / COOLS_MIN).exp(),
        }
    }
    Some(reads)
}
