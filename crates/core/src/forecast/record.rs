//! The median run written down: its curve, the inside of the piece, and what left it.

use super::resolve::Case;
use super::run::{Moment, STEP_S, Watch};
use crate::heat::conduction::SHELLS;
use crate::juices::{Juices, Left};
use crate::units::{HOUR_S, MINUTE_S};

/// The median run at one moment.
#[derive(Debug, Clone)]
pub struct Frame {
    /// Since the meat met the heat, s.
    pub time_s: f64,
    /// Shells from the middle out, °C.
    pub celsius: [f64; SHELLS],
    /// Tender-hours of each shell.
    pub dose: [f64; SHELLS],
    /// The very surface, °C.
    pub surface_c: f64,
    /// The liquid, °C.
    pub medium_c: f64,
    /// Mean tender-hours.
    pub mean_dose: f64,
    /// Steam lost so far, kg.
    pub steam_kg: f64,
    /// Juice, fat, gelatin, yield.
    pub left: Left,
}

/// Writes a frame every few minutes.
pub struct Recorder<'a> {
    case: &'a Case,
    every_s: f64,
    until_s: f64,
    juices: Juices,
    dose: [f64; SHELLS],
    /// The frames so far.
    pub frames: Vec<Frame>,
    /// When the middle passed 54 °C, s.
    pub warm_s: Option<f64>,
}

impl<'a> Recorder<'a> {
    /// A recorder that writes every `every_s` seconds and ends the run after `until_s`.
    pub fn new(case: &'a Case, every_s: f64, until_s: f64) -> Self {
        let start = Frame {
            time_s: 0.0,
            celsius: [case.start_c; SHELLS],
            dose: [0.0; SHELLS],
            surface_c: case.start_c,
            medium_c: case.liquid_start_c,
            mean_dose: 0.0,
            steam_kg: 0.0,
            left: Left::default(),
        };
        Self {
            case,
            every_s,
            until_s,
            juices: Juices::default(),
            dose: [0.0; SHELLS],
            frames: vec![start],
            warm_s: None,
        }
    }

    /// The frame nearest to a time.
    pub fn at(&self, time_s: f64) -> &Frame {
        let i = (time_s / self.every_s).round() as usize;
        &self.frames[i.min(self.frames.len() - 1)]
    }

    /// When the pot runs dry, s; juice from the meat counts, but only what has left by then.
    pub fn dry_s(&self) -> Option<f64> {
        self.frames.iter().find(|frame| self.liquid_left(frame) <= 0.0).map(|frame| frame.time_s)
    }

    /// Liquid in the pot at a frame, L: poured in, plus juice, less steam.
    pub fn liquid_left(&self, frame: &Frame) -> f64 {
        f64::max(0.0, self.case.liquid_l + frame.left.juice_kg - frame.steam_kg)
    }
}

impl Watch<1> for Recorder<'_> {
    fn look(&mut self, moment: &Moment<1>) -> bool {
        for shell in 0..SHELLS {
            self.dose[shell] += 0.5 * STEP_S / HOUR_S * (moment.rates_before[shell][0] + moment.rates_now[shell][0]);
        }
        if self.warm_s.is_none() && moment.bodies.celsius[0][0] >= crate::safety::WARM_PAST_C {
            self.warm_s = Some(moment.time_s);
        }
        if (moment.time_s / self.every_s).fract() < STEP_S / self.every_s / 2.0 {
            // Juice and fat leave slowly enough to be followed from frame to frame.
            self.juices.step(|shell| moment.bodies.celsius[shell][0], self.every_s);
            let case = self.case;
            let mean_dose = moment.mean_dose[0];
            self.frames.push(Frame {
                time_s: moment.time_s,
                celsius: std::array::from_fn(|shell| moment.bodies.celsius[shell][0]),
                dose: self.dose,
                surface_c: moment.bodies.surface_c[0],
                medium_c: moment.medium_c[0],
                mean_dose,
                steam_kg: moment.steam_kg[0],
                left: self.juices.left(case.facts, case.mass_kg, &case.goal, &moment.bodies.fractions, mean_dose),
            });
        }
        moment.time_s < self.until_s
    }
}

impl Frame {
    /// Minutes since the start.
    pub fn minutes(&self) -> f64 {
        self.time_s / MINUTE_S
    }
}
