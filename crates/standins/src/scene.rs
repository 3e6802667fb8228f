//! The cooks that the probes are in: what is really so, which is not what the plan says, and what a probe makes of it.

use anyhow::ensure;
use ergastic_core::forecast::{CurvePoint, ForecastRequest, forecast};
use serde::Deserialize;

use crate::faults::{Fault, noise, strange};

/// The cooks of a scene.
#[derive(Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Scene {
    /// Each with its probes.
    pub cooks: Vec<CookScene>,
}

/// A cook as it really goes.
#[derive(Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct CookScene {
    /// The meat met the heat so long ago, min.
    pub began_min_ago: f64,
    /// What is really in the pot or pit: a little thicker or hotter than the plan has it.
    pub really: ForecastRequest,
    /// The probes in it.
    pub probes: Vec<SimulatedProbe>,
}

/// Where a probe's tip is.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Deserialize)]
#[serde(rename_all = "snake_case")]
pub enum In {
    /// The middle of the meat.
    Meat,
    /// The liquid, or the air of the pit.
    Medium,
}

/// A simulated probe.
#[derive(Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct SimulatedProbe {
    /// Its name.
    pub name: String,
    /// Where its tip is.
    #[serde(rename = "in")]
    pub tip: In,
    /// It reads so often, s.
    pub every_s: f64,
    /// Spread of its readings, K.
    #[serde(default)]
    pub noise_k: f64,
    /// A fire swings by so much either way, K.
    #[serde(default)]
    pub swing_k: f64,
    /// What goes wrong with it.
    #[serde(default)]
    pub faults: Vec<Fault>,
}

/// A scene's cook with its course worked out.
pub struct Simulated {
    /// What was asked for.
    pub scene: CookScene,
    curve: Vec<CurvePoint>,
}

/// A fire swings once in so many min.
const SWING_MIN: f64 = 37.0;

impl Scene {
    /// Works out how each cook goes.
    pub fn simulate(self) -> anyhow::Result<Vec<Simulated>> {
        let simulated = self.cooks.into_iter().map(|scene| {
            let whole = forecast(&ForecastRequest { members: Some(1), ..scene.really.clone() })?;
            ensure!(whole.suitable, "{}", whole.why);
            Ok(Simulated { scene, curve: whole.curve })
        });
        simulated.collect()
    }
}

impl Simulated {
    /// Middle and medium at a minute, °C; what is over stays as it was.
    fn at(&self, minute: f64) -> (f64, f64) {
        let after = self.curve.partition_point(|point| point.min <= minute).clamp(1, self.curve.len() - 1);
        let (from, to) = (&self.curve[after - 1], &self.curve[after]);
        let share = ((minute - from.min) / (to.min - from.min)).clamp(0.0, 1.0);
        let between = |a: f64, b: f64| a + share * (b - a);
        (between(from.core_c, to.core_c), between(from.medium_c, to.medium_c))
    }

    /// What a probe reads at a minute, to a tenth, °C; nothing where nothing comes from it.
    pub fn reads(&self, probe: &SimulatedProbe, minute: f64) -> Option<f64> {
        let (core_c, medium_c) = self.at(minute.max(0.0));
        let swing = probe.swing_k * (minute / SWING_MIN * std::f64::consts::TAU).sin();
        let celsius = match probe.tip {
            In::Meat => core_c,
            In::Medium => medium_c + swing,
        };
        let celsius = strange(&probe.faults, &probe.name, minute, celsius, medium_c)?;
        let celsius = celsius + probe.noise_k * noise(&probe.name, minute);
        Some((celsius * 10.0).round() / 10.0)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn scene(faults: &str) -> Simulated {
        let text = format!(
            r#"{{"cooks": [{{"began_min_ago": 60, "really": {{"cut": "shin", "mass_kg": 1.9, "method": "braise"}},
                "probes": [{{"name": "galley", "in": "meat", "every_s": 10, "faults": {faults}}}]}}]}}"#
        );
        let scene: Scene = serde_json::from_str(&text).unwrap();
        scene.simulate().unwrap().remove(0)
    }

    fn reads(cook: &Simulated, minute: f64) -> Option<f64> {
        cook.reads(&cook.scene.probes[0], minute)
    }

    #[test]
    fn a_probe_follows_the_middle_of_its_piece() {
        let cook = scene("[]");
        let read: Vec<f64> = (0..200).map(|minute| reads(&cook, f64::from(minute)).unwrap()).collect();
        assert_eq!(read[0], 5.0);
        assert!(read.windows(2).all(|pair| pair[1] >= pair[0]) && read[199] > 90.0);
    }

    #[test]
    fn each_fault_is_what_its_name_says_and_only_for_its_time() {
        let plain = scene("[]");
        for (kind, more) in
            [("pulled_out", ""), ("wrong_place", ""), ("unplugged", ""), ("drift", r#", "k_per_h": 30"#)]
        {
            let cook = scene(&format!(r#"[{{"kind": "{kind}", "from_min": 60, "for_min": 30{more}}}]"#));
            assert_eq!(reads(&cook, 59.0), reads(&plain, 59.0), "{kind}");
            assert_ne!(reads(&cook, 85.0), reads(&plain, 85.0), "{kind}");
            assert_eq!(reads(&cook, 91.0), reads(&plain, 91.0), "{kind}");
        }
        let silent = scene(r#"[{"kind": "unplugged", "from_min": 60, "for_min": 30}]"#);
        assert_eq!(reads(&silent, 70.0), None);
        let gaps = scene(r#"[{"kind": "dropout", "from_min": 0, "for_min": 600, "share": 0.5}]"#);
        let there = (0..400).filter(|minute| reads(&gaps, f64::from(*minute)).is_some()).count();
        assert!((140..260).contains(&there), "{there}");
    }
}
