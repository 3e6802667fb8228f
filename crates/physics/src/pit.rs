//! The pit: air over a wet surface that dries, a wrap, a mop, and a lid that is opened.
//!
//! The surface gains `h (T_air − T)` and loses `h w (p_sat(T) − p_air) / γ` to evaporation. While it is wet the two
//! balance far below the air's temperature, and the middle waits there: that is the stall. Nothing here knows of it.

use crate::parameters::{Parameters, PitFigures};
use crate::units::HOUR_S;

/// Psychrometric constant at sea level, Pa/K. Published.
const PSYCHROMETRIC: f64 = 71.0;
/// The air a pit stands in and can't fall below, °C. Working value.
const OUTSIDE_C: f64 = 15.0;
/// What meat is wrapped in.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Wrapping {
    /// Unwaxed paper: some steam passes.
    Paper,
    /// Foil: hardly any does.
    Foil,
}

impl Wrapping {
    /// Share of the evaporation that it lets by.
    pub(crate) fn lets_by(self, p: &Parameters) -> f64 {
        p.wrap[self as usize].lets_by
    }
}

/// Coats of mop or spritz.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Mop {
    /// The first, s after the meat went in.
    pub from_s: f64,
    /// Again after, s.
    pub every_s: f64,
}

/// How a pit is run.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Pit {
    /// Set point, °C.
    pub set_c: f64,
    /// Its air as the meat goes in, °C.
    pub start_c: f64,
    /// Mopped.
    pub mop: Option<Mop>,
    /// Lid opened this often, s.
    pub open_every_s: Option<f64>,
    /// Fuel and air seen to this often, s; none holds itself.
    pub tend_every_s: Option<f64>,
    /// Psychrometric constant here, Pa/K.
    pub psychrometric: f64,
}

/// The psychrometric constant under an atmosphere in Pa, Pa/K.
pub fn psychrometric(pressure_pa: f64) -> f64 {
    PSYCHROMETRIC * pressure_pa / 101_325.0
}

/// Whether something that comes at `from`, and every `every` after, comes within a step.
fn falls(from_s: f64, every_s: f64, since_s: f64, step_s: f64) -> bool {
    let end = since_s + step_s;
    end > from_s && ((end - from_s) / every_s).ceil() > ((since_s - from_s).max(-every_s) / every_s).ceil()
}

impl Pit {
    /// The same with its fire out: its air tends to that outside.
    #[must_use]
    pub fn gone_out(&self) -> Self {
        Self { set_c: OUTSIDE_C, mop: None, open_every_s: None, tend_every_s: None, ..*self }
    }

    /// Its air so long after its fire went out, min, °C.
    pub fn cooled_c(p: &Parameters, set_c: f64, minutes: f64) -> f64 {
        OUTSIDE_C + (set_c - OUTSIDE_C) * (-minutes * 60.0 / p.pit.warm_up_s).exp()
    }

    /// Whether a coat of mop goes on in a step.
    pub fn mopped(&self, since_s: f64, step_s: f64) -> bool {
        self.mop.is_some_and(|mop| falls(mop.from_s, mop.every_s, since_s, step_s))
    }

    /// Its air at a time since the meat went in, °C.
    pub fn air_c(&self, p: &Parameters, since_s: f64) -> f64 {
        let mut air_c = self.set_c;
        if self.start_c != self.set_c {
            air_c += (self.start_c - self.set_c) * (-since_s / p.pit.warm_up_s).exp();
        }
        let since_open = [self.open_every_s.map(|every| (every, every)), self.mop.map(|mop| (mop.from_s, mop.every_s))]
            .into_iter()
            .flatten()
            .filter(|(from, _)| since_s >= *from)
            .map(|(from, every)| (since_s - from) % every)
            .fold(f64::INFINITY, f64::min);
        if since_open < p.pit.opened_s {
            air_c -= p.pit.opened_k;
        }
        if let Some(every_s) = self.tend_every_s {
            air_c -= since_s % every_s / HOUR_S * p.pit.untended_k_per_h;
        }
        self.beside(air_c, 0.0)
    }

    /// Air in °C in a pit that runs beside its set point by some K. However long nobody sees to the fire, it is never colder
    /// than what the pit stands in.
    #[inline(always)]
    pub fn beside(&self, air_c: f64, pit_k: f64) -> f64 {
        f64::max(air_c + pit_k, f64::min(OUTSIDE_C, self.start_c))
    }

    /// How wet the surface is, as a share of open water.
    ///
    /// `gone` is the water the meat has lost from its surface and `film` what a mop left on it, kg/m²; `scale` is the
    /// uncertain share of it all.
    #[inline(always)]
    pub fn wetness(&self, p: &PitFigures, gone: f64, film: f64, scale: f64) -> f64 {
        let dried = gone / p.dries_at;
        let bark = scale * (p.wet / (1.0 + dried * dried) + p.bark);
        if film > 0.0 { p.mopped } else { bark }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::body::Surroundings;
    use crate::conduction::Bodies;

    fn pit() -> Pit {
        Pit {
            set_c: 110.0,
            start_c: 110.0,
            mop: None,
            open_every_s: None,
            tend_every_s: None,
            psychrometric: psychrometric(101_325.0),
        }
    }

    #[test]
    fn a_wet_surface_stands_far_below_the_air_and_a_dry_one_near_it() {
        let settle = |gone: f64| {
            let mut bodies = Bodies::new(0.3, [0.01], 20.0, 60.0, &Parameters::USUAL.meat);
            let h = Parameters::USUAL.surface.pit;
            let e = h * pit().wetness(&PitFigures::USUAL, gone, 0.0, 1.0) / pit().psychrometric;
            let around = Surroundings {
                evaporation: [e],
                wet: true,
                air_vapour_pa: [Parameters::USUAL.pit.vapour_pa],
                ..Surroundings::dry([110.0], [110.0], [h])
            };
            for _ in 0..600 {
                bodies.step(&around);
            }
            assert!((bodies.heat_in[0] / 60.0).abs() < 1e-3, "settled: no heat goes in any more");
            // What evaporates then takes all of the air's heat.
            let latent = bodies.evaporated[0] * crate::steam::LATENT_HEAT / 60.0;
            assert!((latent / (h * (110.0 - bodies.surface_c[0])) - 1.0).abs() < 1e-6);
            bodies.surface_c[0]
        };
        assert!((54.0..64.0).contains(&settle(0.0)), "wet: {}", settle(0.0));
        assert!(settle(8.0) > 90.0, "bark: {}", settle(8.0));
    }

    #[test]
    fn an_open_lid_costs_air_for_some_minutes_and_an_untended_pit_sags() {
        let opened = Pit { open_every_s: Some(3600.0), ..pit() };
        assert_eq!(
            (
                opened.air_c(&Parameters::USUAL, 60.0),
                opened.air_c(&Parameters::USUAL, 3660.0),
                opened.air_c(&Parameters::USUAL, 4200.0)
            ),
            (110.0, 90.0, 110.0)
        );
        let tended = Pit { tend_every_s: Some(7200.0), ..pit() };
        let forgotten = Pit { tend_every_s: Some(72.0 * 3600.0), ..pit() };
        assert_eq!(
            forgotten.air_c(&Parameters::USUAL, 71.0 * 3600.0),
            OUTSIDE_C,
            "a fire that is out is as cold as the yard"
        );
        assert!(
            (tended.air_c(&Parameters::USUAL, 7140.0) - 90.2).abs() < 0.1
                && tended.air_c(&Parameters::USUAL, 7200.0) == 110.0
        );
        let lit_late = Pit { start_c: 10.0, ..pit() };
        assert!(lit_late.air_c(&Parameters::USUAL, 0.0) == 10.0 && lit_late.air_c(&Parameters::USUAL, 7200.0) > 109.0);
        assert_eq!(pit().air_c(&Parameters::USUAL, 0.0), 110.0);
    }

    #[test]
    fn mop_falls_at_its_times() {
        let mopped = Pit { mop: Some(Mop { from_s: 3600.0, every_s: 1800.0 }), ..pit() };
        let coats = (0..180).filter(|minute| mopped.mopped(f64::from(*minute) * 60.0, 60.0)).count();
        assert_eq!(coats, 4, "at 60, 90, 120 and 150 min");
    }
}
