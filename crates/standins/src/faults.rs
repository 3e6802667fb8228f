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
pub enum FaultKind {
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
    pub kind: FaultKind,
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
            FaultKind::Unplugged => return None,
            FaultKind::Dropout if chance(name, minute) < fault.share => return None,
            FaultKind::Dropout => {}
            FaultKind::Drift => reads += fault.k_per_h * since / 60.0,
            FaultKind::WrongPlace => reads = medium_c - 0.5,
            FaultKind::PulledOut => reads = AIR_C + (reads - AIR_C) * (-since / COOLS_MIN).exp(),
        }
    }
    Some(reads)
}

#[cfg(test)]
mod tests {
    use super::*;

    fn fault(kind: FaultKind) -> Fault {
        Fault { kind, from_min: 60.0, for_min: 30.0, share: 0.4, k_per_h: 12.0 }
    }

    fn reads(kind: FaultKind, minute: f64) -> Option<f64> {
        strange(&[fault(kind)], "galley", minute, 70.0, 98.0)
    }

    #[test]
    fn before_and_after_its_time_a_fault_does_nothing() {
        for kind in
            [FaultKind::Dropout, FaultKind::Drift, FaultKind::WrongPlace, FaultKind::PulledOut, FaultKind::Unplugged]
        {
            for minute in [0.0, 59.9, 90.0, 200.0] {
                assert_eq!(reads(kind, minute), Some(70.0), "{kind:?} at {minute}");
            }
        }
    }

    #[test]
    fn a_tip_creeps_hangs_elsewhere_cools_or_is_silent() {
        assert_eq!(reads(FaultKind::Drift, 80.0), Some(74.0));
        assert_eq!(reads(FaultKind::WrongPlace, 80.0), Some(97.5));
        assert_eq!(reads(FaultKind::Unplugged, 80.0), None);
        let fallen: Vec<f64> = (60..90).map(|minute| reads(FaultKind::PulledOut, f64::from(minute)).unwrap()).collect();
        assert_eq!(fallen[0], 70.0);
        assert!(fallen.windows(2).all(|pair| pair[1] < pair[0]) && fallen[29] < AIR_C + 0.1);
    }

    #[test]
    fn a_dropout_loses_about_its_share_and_always_the_same() {
        let minutes = || (0..1000).map(|i| 60.0 + f64::from(i) * 0.03);
        let lost = || minutes().filter(|minute| reads(FaultKind::Dropout, *minute).is_none()).collect::<Vec<f64>>();
        assert!((300..500).contains(&lost().len()), "{}", lost().len());
        assert_eq!(lost(), lost());
    }

    #[test]
    fn noise_has_no_drift_and_a_spread_of_one() {
        let all: Vec<f64> = (0..4000).map(|i| noise("galley", f64::from(i))).collect();
        let mean = all.iter().sum::<f64>() / 4000.0;
        let sigma = (all.iter().map(|z| (z - mean).powi(2)).sum::<f64>() / 4000.0).sqrt();
        assert!(mean.abs() < 0.06 && (sigma - 1.0).abs() < 0.06, "{mean} {sigma}");
        assert_ne!(noise("galley", 1.0), noise("smoker", 1.0));
    }
}
