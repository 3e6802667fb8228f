//! Heat conduction into an equivalent body: slab, cylinder, sphere, or between.
//!
//! `ρ c ∂T/∂t = r^-β ∂/∂r (k r^β ∂T/∂r)` on finite volumes. Time is stepped by the
//! two-stage, stiffly accurate, L-stable diagonally implicit Runge–Kutta method of second order
//! (Alexander 1977): both stages share one matrix, so its elimination is done once a run and a
//! step costs two substitutions. The surface row is closed last, which lets the surface
//! coefficient change at every step for nothing and lets a wet surface in a pit, where
//! evaporation grows steeply with temperature, be closed by Newton's method on one unknown.
//! `L` members are stepped side by side; a frozen one is stepped in [`crate::frozen`] until it has thawed.

use crate::body::{SHELLS, Surroundings, shell_fractions};
use crate::frozen;
use crate::parameters::Meat;
use crate::steam::{LATENT_HEAT, Saturation, saturation};

/// `1 − 1/√2`, the diagonal of the method.
const GAMMA: f64 = 1.0 - std::f64::consts::FRAC_1_SQRT_2;

/// `L` bodies of one shape exponent and their own thickness, with the elimination done.
#[derive(Clone)]
pub struct Bodies<const L: usize> {
    /// Shell temperatures, °C, from the middle out.
    pub celsius: [[f64; L]; SHELLS],
    /// Temperature of the very surface at the end of the last step, °C.
    pub surface_c: [f64; L],
    /// Heat that came in through the surface in the last step, J/m².
    pub heat_in: [f64; L],
    /// Water that left the surface in the last step, kg/m²; negative where it condensed.
    pub evaporated: [f64; L],
    /// Volume of each shell over the whole.
    pub fractions: [f64; SHELLS],
    /// Which of them still hold ice.
    pub frozen: [bool; L],
    /// Steps for which the surface still leaps.
    young: u32,
    step_s: f64,
    geometry: frozen::Geometry<L>,
    matrix: Matrix<L>,
}

/// A stage's equations with the elimination done.
#[derive(Clone)]
struct Matrix<const L: usize> {
    lower: [[f64; L]; SHELLS],
    upper: [[f64; L]; SHELLS],
    pivot: [[f64; L]; SHELLS],
    /// Kelvin in the last shell for a W/m² held over a stage.
    surface_gain: [f64; L],
    /// Half a shell's resistance, m² K/W.
    half_shell: [f64; L],
}

/// What passed the surface in a stage, W/m², and the surface's temperature.
struct Passed<const L: usize> {
    flux: [f64; L],
    vapour: [f64; L],
    surface_c: [f64; L],
}

impl<const L: usize> Bodies<L> {
    /// Bodies of such meat at a uniform temperature, to be stepped by `step_s` seconds.
    ///
    /// ```
    /// use ergastic_physics::body::Surroundings;
    /// use ergastic_physics::conduction::Bodies;
    /// use ergastic_physics::parameters::Parameters;
    /// let mut slab = Bodies::new(0.0, [0.03], 5.0, 60.0, &Parameters::USUAL.meat);
    /// let liquid = Surroundings::dry([95.0], [95.0], [300.0]);
    /// for _ in 0..120 {
    ///     slab.step(&liquid);
    /// }
    /// assert!(slab.celsius[0][0] > 80.0, "two hours at 95 °C go through 6 cm");
    /// ```
    pub fn new(exponent: f64, half_thickness_m: [f64; L], start_c: f64, step_s: f64, meat: &Meat) -> Self {
        let fractions = shell_fractions(exponent);
        let width = 1.0 / SHELLS as f64;
        // The area of a face at x is x^β; the inner face of the first shell has none
        // (for a slab it has, but symmetry lets nothing through).
        let faces: [f64; SHELLS] =
            std::array::from_fn(|i| if i == 0 { 0.0 } else { (i as f64 * width).powf(exponent) });
        let mut bodies = Self {
            celsius: [[start_c; L]; SHELLS],
            surface_c: [start_c; L],
            heat_in: [0.0; L],
            evaporated: [0.0; L],
            fractions,
            frozen: [start_c < meat.freezes_c; L],
            young: YOUNG_STEPS,
            step_s,
            geometry: frozen::Geometry { meat: *meat, exponent, faces, radius_m: half_thickness_m },
            matrix: Matrix {
                lower: [[0.0; L]; SHELLS],
                upper: [[0.0; L]; SHELLS],
                pivot: [[0.0; L]; SHELLS],
                surface_gain: [0.0; L],
                half_shell: [0.0; L],
            },
        };
        for lane in 0..L {
            bodies.eliminate(lane);
        }
        bodies
    }

    /// Works out one body's elimination.
    fn eliminate(&mut self, lane: usize) {
        let width = 1.0 / SHELLS as f64;
        let (geometry, fractions, matrix) = (&self.geometry, &self.fractions, &mut self.matrix);
        let meat = &geometry.meat;
        let diffusivity = meat.conductivity / (meat.density * meat.specific_heat);
        let (exponent, faces, radius) = (geometry.exponent, &geometry.faces, geometry.radius_m[lane]);
        let pace = GAMMA * self.step_s * diffusivity / (radius * radius);
        for i in 0..SHELLS {
            let volume = fractions[i] / (exponent + 1.0);
            let outer = if i + 1 == SHELLS { 0.0 } else { faces[i + 1] };
            let lower = pace * faces[i] / (width * volume);
            let upper = pace * outer / (width * volume);
            let above = if i == 0 { 0.0 } else { matrix.upper[i - 1][lane] };
            let pivot = 1.0 / (1.0 + lower + upper - lower * above);
            // Scaled by the pivot beforehand: each shell then waits for its neighbour by one product and one sum.
            matrix.lower[i][lane] = lower * pivot;
            matrix.upper[i][lane] = upper * pivot;
            matrix.pivot[i][lane] = pivot;
        }
        let last_volume = fractions[SHELLS - 1] / (exponent + 1.0);
        matrix.surface_gain[lane] = GAMMA * self.step_s / (meat.density * meat.specific_heat * radius * last_volume)
            * matrix.pivot[SHELLS - 1][lane];
        matrix.half_shell[lane] = 0.5 * width * radius / meat.conductivity;
    }

    /// Sets the length of the steps to come, s.
    pub fn step_by(&mut self, step_s: f64) {
        if self.step_s != step_s {
            self.step_s = step_s;
            (0..L).for_each(|lane| self.eliminate(lane));
        }
    }

    /// Makes one body so many times as thick; its shells keep their share of it and their temperature.
    pub fn thin(&mut self, lane: usize, times: f64) {
        self.geometry.radius_m[lane] *= times;
        self.eliminate(lane);
        self.young = YOUNG_STEPS;
    }

    /// Half a shell's resistance, m² K/W: between the outermost shell's middle and the surface.
    #[inline(always)]
    pub fn half_shell(&self, lane: usize) -> f64 {
        self.matrix.half_shell[lane]
    }

    /// One step in the given surroundings.
    #[inline(always)]
    pub fn step(&mut self, around: &Surroundings<L>) {
        if self.frozen.contains(&true) {
            self.step_with_ice(around);
        } else {
            self.step_thawed(around);
        }
    }

    /// Frozen bodies by enthalpy, the others as usual.
    #[inline(never)]
    fn step_with_ice(&mut self, around: &Surroundings<L>) {
        let before = self.clone();
        self.step_thawed(around);
        for lane in (0..L).filter(|lane| before.frozen[*lane]) {
            let mut celsius = before.celsius.map(|shell| shell[lane]);
            let stepped = frozen::step(&self.geometry, lane, &self.fractions, &mut celsius, around, self.step_s);
            for (shell, t) in self.celsius.iter_mut().zip(celsius) {
                shell[lane] = t;
            }
            self.surface_c[lane] = stepped.surface_c;
            self.heat_in[lane] = stepped.heat_in;
            self.evaporated[lane] = stepped.evaporated;
            self.frozen[lane] = celsius.iter().any(|t| *t < self.geometry.meat.freezes_c);
        }
    }

    #[inline(always)]
    fn step_thawed(&mut self, around: &Surroundings<L>) {
        let mut middle_c = [0.0; L];
        for lane in 0..L {
            middle_c[lane] = around.from_c[lane] + GAMMA * (around.to_c[lane] - around.from_c[lane]);
        }
        let rounds = if self.young > 0 { YOUNG_ROUNDS } else { NEWTON_ROUNDS };
        let matrix = &self.matrix;
        let mut first = [[0.0; L]; SHELLS];
        let mut inner = [0.0; L];
        for i in 0..SHELLS {
            matrix.down(i, &self.celsius[i], &mut inner);
            first[i] = inner;
        }
        let early = matrix.close(&mut first, &self.surface_c, &middle_c, around, rounds);
        matrix.up(&mut first);
        // Second stage: start + (1 − γ) · slope of the first stage, where slope = (first − start) / γ.
        let carry = (1.0 - GAMMA) / GAMMA;
        let mut known = [0.0; L];
        for i in 0..SHELLS {
            for lane in 0..L {
                known[lane] = carry.mul_add(first[i][lane] - self.celsius[i][lane], self.celsius[i][lane]);
            }
            matrix.down(i, &known, &mut inner);
            self.celsius[i] = inner;
        }
        let late = matrix.close(&mut self.celsius, &early.surface_c, &around.to_c, around, rounds);
        matrix.up(&mut self.celsius);
        self.surface_c = late.surface_c;
        for lane in 0..L {
            self.heat_in[lane] = self.step_s * ((1.0 - GAMMA) * early.flux[lane] + GAMMA * late.flux[lane]);
            let vapour = (1.0 - GAMMA) * early.vapour[lane] + GAMMA * late.vapour[lane];
            self.evaporated[lane] = self.step_s * vapour / LATENT_HEAT;
        }
        self.young = self.young.saturating_sub(1);
    }

    /// Temperature of one body at a share of the radius from its middle (0–1), °C.
    pub fn at_radius(&self, lane: usize, share: f64) -> f64 {
        let position = (share.clamp(0.0, 1.0) * SHELLS as f64 - 0.5).max(0.0);
        let below = (position as usize).min(SHELLS - 1);
        let above = (below + 1).min(SHELLS - 1);
        let part = position - below as f64;
        self.celsius[below][lane] * (1.0 - part) + self.celsius[above][lane] * part
    }
}

impl<const L: usize> Matrix<L> {
    /// Eliminates downwards by one shell; `inner` is the shell before, and becomes this one.
    #[inline(always)]
    fn down(&self, i: usize, known: &[f64; L], inner: &mut [f64; L]) {
        for lane in 0..L {
            inner[lane] = self.lower[i][lane].mul_add(inner[lane], known[lane] * self.pivot[i][lane]);
        }
    }

    /// Substitutes back from the surface to the middle.
    #[inline(always)]
    fn up(&self, rows: &mut [[f64; L]; SHELLS]) {
        let mut outer = rows[SHELLS - 1];
        for i in (0..SHELLS - 1).rev() {
            for lane in 0..L {
                outer[lane] = self.upper[i][lane].mul_add(outer[lane], rows[i][lane]);
            }
            rows[i] = outer;
        }
    }

    /// Closes a stage's last row with what the surface meets; answers what passed the surface.
    #[inline(always)]
    fn close(
        &self,
        rows: &mut [[f64; L]; SHELLS],
        guess_c: &[f64; L],
        medium_c: &[f64; L],
        around: &Surroundings<L>,
        rounds: usize,
    ) -> Passed<L> {
        let last = rows[SHELLS - 1];
        let passed = if around.wet {
            let gain: [f64; L] = std::array::from_fn(|lane| self.surface_gain[lane] + self.half_shell[lane]);
            close_wet(saturation(), &last, &gain, guess_c, medium_c, around, rounds)
        } else {
            let mut flux = [0.0; L];
            let mut surface_c = [0.0; L];
            for lane in 0..L {
                let through = around.coefficient[lane] / (1.0 + around.coefficient[lane] * self.half_shell[lane]);
                flux[lane] = through * (medium_c[lane] - last[lane]) / (1.0 + self.surface_gain[lane] * through);
                surface_c[lane] = last[lane] + (self.surface_gain[lane] + self.half_shell[lane]) * flux[lane];
            }
            Passed { flux, vapour: [0.0; L], surface_c }
        };
        for lane in 0..L {
            rows[SHELLS - 1][lane] = last[lane] + self.surface_gain[lane] * passed.flux[lane];
        }
        passed
    }
}

/// Rounds of Newton's method: from the last stage's surface, some hundredths of a kelvin off, one comes to 1e-5 K. Where the
/// surface leaps, as under a fresh wrap, the next stages make up for it; heat and water are conserved whatever is left.
const NEWTON_ROUNDS: usize = 1;
/// Rounds while the surface leaps from the fridge's temperature to the pit's.
const YOUNG_ROUNDS: usize = 6;
/// Steps of leaping.
const YOUNG_STEPS: u32 = 8;

/// The surface of a wet body: `T = rest + gain · q(T)` with `q = h (T_medium − T) − e (p_sat(T) − p_air)`.
#[inline(always)]
fn close_wet<const L: usize>(
    saturation: &Saturation,
    rest: &[f64; L],
    gain: &[f64; L],
    guess_c: &[f64; L],
    medium_c: &[f64; L],
    around: &Surroundings<L>,
    rounds: usize,
) -> Passed<L> {
    let mut surface_c = *guess_c;
    for _ in 0..rounds {
        for lane in 0..L {
            let t = surface_c[lane];
            let (pressure, slope) = saturation.with_slope(t);
            let (h, e) = (around.coefficient[lane], around.evaporation[lane]);
            let flux = h * (medium_c[lane] - t) - e * (pressure - around.air_vapour_pa[lane]);
            let miss = t - rest[lane] - gain[lane] * flux;
            surface_c[lane] = t - miss / (1.0 + gain[lane] * (h + e * slope));
        }
    }
    let mut flux = [0.0; L];
    let mut vapour = [0.0; L];
    for lane in 0..L {
        // By the balance, not by the formula, so that heat and water are both conserved to the last digit.
        flux[lane] = (surface_c[lane] - rest[lane]) / gain[lane];
        vapour[lane] = around.coefficient[lane] * (medium_c[lane] - surface_c[lane]) - flux[lane];
    }
    Passed { flux, vapour, surface_c }
}

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;

    #[test]
    fn agrees_with_the_series_solutions_within_0_3_kelvin() {
        let radius = 0.04;
        let diffusivity = Meat::USUAL.conductivity / (Meat::USUAL.density * Meat::USUAL.specific_heat);
        // The middle of the innermost shell stands half a shell off the centre; extrapolate to it.
        for line in include_str!("../tests/oracle/conduction_series.csv").lines().skip(1) {
            let fields: Vec<_> = line.split(',').collect();
            let exponent = match fields[0] {
                "slab" => 0.0,
                "cylinder" => 1.0,
                _ => 2.0,
            };
            let number = |i: usize| fields[i].parse::<f64>().unwrap();
            let (biot, fourier) = (number(1), number(2));
            let total_s = fourier * radius * radius / diffusivity;
            let steps = (total_s / 60.0).ceil();
            let mut bodies = Bodies::new(exponent, [radius], 5.0, total_s / steps, &Meat::USUAL);
            for _ in 0..steps as usize {
                bodies.step(&Surroundings::dry([100.0], [100.0], [biot * Meat::USUAL.conductivity / radius]));
            }
            let centre = bodies.celsius[0][0] - (bodies.celsius[1][0] - bodies.celsius[0][0]) / 8.0;
            let expected = |theta: f64| 100.0 - 95.0 * theta;
            assert!(
                (centre - expected(number(3))).abs() < 0.3,
                "{line}: centre {centre} against {}",
                expected(number(3))
            );
            assert!(
                (bodies.surface_c[0] - expected(number(4))).abs() < 0.3,
                "{line}: surface {} against {}",
                bodies.surface_c[0],
                expected(number(4))
            );
        }
    }

    proptest! {
        #[test]
        fn energy_is_conserved(exponent in 0.0..2.0f64, radius in 0.005..0.12f64, medium in 40.0..120.0f64, coefficient in 10.0..500.0f64) {
            let mut bodies = Bodies::new(exponent, [radius], 5.0, 60.0, &Meat::USUAL);
            let mut heat_in = 0.0;
            for minute in 0..300 {
                let from = medium - 30.0 * (-(minute as f64) / 9.0).exp();
                let to = medium - 30.0 * (-(minute as f64 + 1.0) / 9.0).exp();
                bodies.step(&Surroundings::dry([from], [to], [coefficient]));
                heat_in += bodies.heat_in[0];
            }
            let mean: f64 = bodies.celsius.iter().zip(bodies.fractions).map(|(t, f)| t[0] * f).sum();
            let stored = Meat::USUAL.density * Meat::USUAL.specific_heat * radius / (exponent + 1.0) * (mean - 5.0);
            prop_assert!((stored / heat_in - 1.0).abs() < 1e-6, "stored {stored}, came in {heat_in}");
        }

        #[test]
        fn the_middle_never_leads_the_surface_in_a_warmer_bath(exponent in 0.0..2.0f64, radius in 0.01..0.1f64) {
            let mut bodies = Bodies::new(exponent, [radius], 5.0, 60.0, &Meat::USUAL);
            for _ in 0..240 {
                bodies.step(&Surroundings::dry([90.0], [90.0], [300.0]));
                for i in 1..SHELLS {
                    prop_assert!(bodies.celsius[i][0] >= bodies.celsius[i - 1][0] - 1e-6);
                }
                prop_assert!(bodies.surface_c[0] <= 90.0 + 1e-9);
            }
        }
    }
}
