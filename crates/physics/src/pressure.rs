//! The pressure pot: coming up, at pressure, letting it go.

use crate::parameters::{Parameters, Pressure};
use crate::places::BY_THE_STOVE_C;
use crate::vessel::{PotBalance, Vessel};

/// Heat into an electric pot, W.
pub const POWER_W: f64 = Parameters::USUAL.pressure.power_w;
/// Least thin liquid with which it comes up, L.
pub const MIN_LITRES: f64 = Parameters::USUAL.pressure.min_litres;
/// Fullest it may be, share of its volume. Makers' guidance.
pub const FULLEST: f64 = 2.0 / 3.0;
/// Where keep-warm holds it once pressure has gone, °C: 70 to 75. Practice.
pub const KEPT_WARM_C: f64 = 72.0;

/// Where a closed pot is in its cycle.
#[derive(Debug, Clone, Copy, PartialEq)]
pub enum Phase {
    /// Heating with the lid closed.
    ComingUp,
    /// At the local boil, steam driving the air out until the valve closes at a time, s.
    Venting {
        /// It closes at, s.
        until_s: f64,
    },
    /// Closed, pressure building.
    Building,
    /// Held at pressure until a time, s.
    Held {
        /// Heat off at, s.
        until_s: f64,
    },
    /// Pressure going.
    Releasing,
    /// The lid can be opened.
    Open,
}

/// What the pot does over a step.
#[derive(Debug, Clone, Copy)]
pub struct PressureStep {
    /// Start of the step, s.
    pub start_s: f64,
    /// Its length, s.
    pub step_s: f64,
    /// Temperature under pressure, °C.
    pub target_c: f64,
    /// Local boil: the lid opens there, °C.
    pub boil_c: f64,
    /// How long it is held, s.
    pub hold_s: f64,
    /// Let go at once.
    pub quick: bool,
    /// Heat in, W.
    pub power_w: f64,
    /// Pot and liquid, J/K.
    pub heat_capacity: f64,
    /// Liquid to meat, W/K.
    pub meat_conductance: f64,
    /// The meat's outermost shell, °C.
    pub meat_c: f64,
}

/// What came of a step.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Pressed {
    /// Temperature at the end, °C.
    pub celsius: f64,
    /// Phase at the end.
    pub phase: Phase,
    /// Pressure was reached at this time, if in this step, s.
    pub came_up_s: Option<f64>,
    /// The lid could be opened at this time, if in this step, s.
    pub opened_s: Option<f64>,
    /// Water boiled off by a quick release, kg.
    pub flashed_kg: f64,
}

/// Follows a closed pot through a step, from phase to phase within it, so that a hold of any length is kept to the second.
pub fn follow(p: &Pressure, pot: &Vessel, now: &PressureStep, celsius: f64, phase: Phase) -> Pressed {
    let pressed = Pressed { celsius, phase, came_up_s: None, opened_s: None, flashed_kg: 0.0 };
    let conductance = p.loss * pot.outside_m2;
    let mut closed = Closed { p, now, conductance, at_s: now.start_s, end_s: now.start_s + now.step_s, pressed };
    while closed.at_s < closed.end_s && closed.pressed.phase != Phase::Open {
        match closed.pressed.phase {
            Phase::ComingUp => closed.comes_up(f64::min(now.boil_c, now.target_c), false),
            Phase::Building => closed.comes_up(now.target_c, true),
            Phase::Venting { until_s } => closed.vents(until_s),
            Phase::Held { until_s } => closed.holds(until_s),
            Phase::Releasing => closed.releases(),
            Phase::Open => {}
        }
    }
    closed.pressed
}

/// A closed pot on its way through a step.
struct Closed<'a> {
    p: &'a Pressure,
    now: &'a PressureStep,
    /// From the pot's outside into the kitchen, W/K.
    conductance: f64,
    at_s: f64,
    end_s: f64,
    pressed: Pressed,
}

impl Closed<'_> {
    fn left_s(&self) -> f64 {
        self.end_s - self.at_s
    }

    /// Where its heat is at the end of the step with so much power, °C.
    fn tends(&self, power_w: f64) -> f64 {
        let balance = PotBalance {
            step_s: self.left_s(),
            celsius: self.pressed.celsius,
            oven_c: BY_THE_STOVE_C + power_w / self.conductance,
            boil_c: f64::INFINITY,
            heat_capacity: self.now.heat_capacity,
            conductance: self.conductance,
            meat_conductance: self.now.meat_conductance,
            meat_c: self.now.meat_c,
            evaporation: 0.0,
        };
        balance.predict()
    }

    /// Up to the boil with the vent open, then to the pressure with the vent closed.
    fn comes_up(&mut self, goal_c: f64, building: bool) {
        let celsius = self.pressed.celsius;
        let next_c = self.tends(self.now.power_w);
        if next_c < goal_c {
            (self.pressed.celsius, self.at_s) = (next_c, self.end_s);
            return;
        }
        let share = if celsius >= goal_c { 0.0 } else { ((goal_c - celsius) / (next_c - celsius)).clamp(0.0, 1.0) };
        self.at_s += share * self.left_s();
        self.pressed.celsius = goal_c;
        if building {
            self.pressed.came_up_s = Some(self.at_s);
            self.pressed.phase = Phase::Held { until_s: self.at_s + self.now.hold_s };
        } else {
            self.pressed.phase = Phase::Venting { until_s: self.at_s + self.p.vent_s };
        }
    }

    fn vents(&mut self, until_s: f64) {
        // With too little liquid it has stood at the boil past that time.
        let seconds = f64::max(0.0, f64::min(until_s, self.end_s) - self.at_s);
        self.pressed.flashed_kg += self.now.power_w * seconds / crate::steam::LATENT_HEAT;
        self.at_s += seconds;
        if until_s <= self.end_s {
            self.pressed.phase = Phase::Building;
        }
    }

    fn holds(&mut self, until_s: f64) {
        self.pressed.celsius = self.now.target_c;
        if until_s >= self.end_s {
            self.at_s = self.end_s;
        } else {
            self.at_s = f64::max(self.at_s, until_s);
            self.pressed.phase = Phase::Releasing;
        }
    }

    fn releases(&mut self) {
        let (now, celsius) = (self.now, self.pressed.celsius);
        let next_c = if now.quick {
            celsius - (now.target_c - now.boil_c) * self.left_s() / self.p.quick_release_s
        } else {
            self.tends(0.0)
        };
        let share =
            if next_c <= now.boil_c { ((celsius - now.boil_c) / (celsius - next_c)).clamp(0.0, 1.0) } else { 1.0 };
        let reached_c = f64::max(next_c, now.boil_c);
        if now.quick {
            self.pressed.flashed_kg += now.heat_capacity * (celsius - reached_c) / crate::steam::LATENT_HEAT;
        }
        self.pressed.celsius = reached_c;
        self.at_s += share * self.left_s();
        if share < 1.0 || reached_c <= now.boil_c {
            self.pressed.phase = Phase::Open;
            self.pressed.opened_s = Some(self.at_s);
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::vessel::{Cover, Wall};

    fn cycle(hold_s: f64, quick: bool) -> (f64, f64) {
        let pot = Vessel::round(0.22, 0.16, Wall::Steel, Cover::Tight);
        let (mut celsius, mut phase) = (60.0, Phase::ComingUp);
        let (mut up, mut open) = (0.0, 0.0);
        for minute in 0..400 {
            let now = PressureStep {
                start_s: f64::from(minute) * 60.0,
                step_s: 60.0,
                target_c: 115.4,
                boil_c: 100.0,
                hold_s,
                quick,
                power_w: POWER_W,
                heat_capacity: pot.heat_capacity(&Parameters::USUAL) + 1.5 * 4186.0 + 1.4 * 3500.0,
                meat_conductance: 0.0,
                meat_c: 60.0,
            };
            let done = follow(&Pressure::USUAL, &pot, &now, celsius, phase);
            (celsius, phase) = (done.celsius, done.phase);
            up = done.came_up_s.unwrap_or(up);
            open = done.opened_s.unwrap_or(open);
            if phase == Phase::Open {
                break;
            }
        }
        (up / 60.0, open / 60.0)
    }

    #[test]
    fn it_comes_up_in_ten_to_twenty_minutes_and_lets_go_in_fifteen_to_thirty_or_two() {
        let (up, open) = cycle(1800.0, false);
        assert!((8.0..20.0).contains(&up), "{up} min up");
        assert!((12.0..30.0).contains(&(open - up - 30.0)), "{} min of release", open - up - 30.0);
        let (_, quick) = cycle(1800.0, true);
        assert!((quick - up - 30.0 - 2.0).abs() < 0.01, "{quick}");
    }

    #[test]
    fn a_hold_is_kept_to_the_second() {
        let open = |hold_s| cycle(hold_s, true).1;
        for hold_s in [0.0, 61.0, 89.5, 600.25] {
            assert!((open(hold_s) - open(0.0) - hold_s / 60.0).abs() < 1e-6, "{hold_s}");
        }
    }
}
