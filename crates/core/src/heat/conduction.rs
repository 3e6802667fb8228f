//! Heat conduction into an equivalent body: slab, cylinder, sphere, or between.
//!
//! `ρ c ∂T/∂t = r^-β ∂/∂r (k r^β ∂T/∂r)` on finite volumes. Time is stepped by the
//! two-stage, stiffly accurate, L-stable diagonally implicit Runge–Kutta method of second order
//! (Alexander 1977): both stages share one matrix, so its elimination is done once a run and a
//! step costs two substitutions. The surface row is closed last, which lets the surface
//! coefficient change at every step for nothing. `L` members are stepped side by side.

/// Conductivity of lean beef, W/(m K). Published (ASHRAE range 0.43–0.52).
pub const CONDUCTIVITY: f64 = 0.48;
/// Density of lean beef, kg/m³. Published.
pub const DENSITY: f64 = 1060.0;
/// Specific heat of lean beef, J/(kg K). Published.
pub const SPECIFIC_HEAT: f64 = 3500.0;
/// Shells from the middle to the surface.
pub const SHELLS: usize = 24;
/// `1 − 1/√2`, the diagonal of the method.
const GAMMA: f64 = 1.0 - std::f64::consts::FRAC_1_SQRT_2;

/// The equivalent body of a piece with three sides.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Shape {
    /// Half of the shortest side, m.
    pub half_thickness_m: f64,
    /// 0 slab, 1 cylinder, 2 sphere, and between.
    pub exponent: f64,
}

impl Shape {
    /// From the sides in metres, in any order: `β = min(2, (l1/l2)² + (l1/l3)²)`.
    pub fn from_sides(mut sides_m: [f64; 3]) -> Self {
        sides_m.sort_by(f64::total_cmp);
        let [l1, l2, l3] = sides_m;
        Self { half_thickness_m: l1 / 2.0, exponent: f64::min(2.0, (l1 / l2).powi(2) + (l1 / l3).powi(2)) }
    }

    /// Surface of a volume of such bodies in m³, m²: `V (β + 1) / R`.
    pub fn surface_m2(&self, volume_m3: f64) -> f64 {
        volume_m3 * (self.exponent + 1.0) / self.half_thickness_m
    }
}

/// Volume of each shell over the whole, from the middle out.
pub fn shell_fractions(exponent: f64) -> [f64; SHELLS] {
    let mut fractions = [0.0; SHELLS];
    for (i, fraction) in fractions.iter_mut().enumerate() {
        let inner = i as f64 / SHELLS as f64;
        let outer = (i + 1) as f64 / SHELLS as f64;
        *fraction = outer.powf(exponent + 1.0) - inner.powf(exponent + 1.0);
    }
    fractions
}

/// `L` bodies of one shape exponent and their own thickness, with the elimination done.
pub struct Bodies<const L: usize> {
    /// Shell temperatures, °C, from the middle out.
    pub celsius: [[f64; L]; SHELLS],
    /// Temperature of the very surface at the end of the last step, °C.
    pub surface_c: [f64; L],
    /// Heat that came in through the surface in the last step, J/m².
    pub heat_in: [f64; L],
    /// Volume of each shell over the whole.
    pub fractions: [f64; SHELLS],
    step_s: f64,
    lower: [[f64; L]; SHELLS],
    upper: [[f64; L]; SHELLS],
    pivot: [[f64; L]; SHELLS],
    /// Kelvin in the last shell for a W/m² held over a stage.
    surface_gain: [f64; L],
    /// Half a shell's resistance, m² K/W.
    half_shell: [f64; L],
}

impl<const L: usize> Bodies<L> {
    /// Bodies at a uniform temperature, to be stepped by `step_s` seconds.
    pub fn new(exponent: f64, half_thickness_m: [f64; L], start_c: f64, step_s: f64) -> Self {
        let fractions = shell_fractions(exponent);
        let width = 1.0 / SHELLS as f64;
        let diffusivity = CONDUCTIVITY / (DENSITY * SPECIFIC_HEAT);
        let mut bodies = Self {
            celsius: [[start_c; L]; SHELLS],
            surface_c: [start_c; L],
            heat_in: [0.0; L],
            fractions,
            step_s,
            lower: [[0.0; L]; SHELLS],
            upper: [[0.0; L]; SHELLS],
            pivot: [[0.0; L]; SHELLS],
            surface_gain: [0.0; L],
            half_shell: [0.0; L],
        };
        for lane in 0..L {
            let radius = half_thickness_m[lane];
            let pace = GAMMA * step_s * diffusivity / (radius * radius);
            for i in 0..SHELLS {
                let volume = fractions[i] / (exponent + 1.0);
                // The area of a face at x is x^β; the inner face of the first shell has none
                // (for a slab it has, but symmetry lets nothing through).
                let inner = if i == 0 { 0.0 } else { (i as f64 * width).powf(exponent) };
                let outer = if i + 1 == SHELLS { 0.0 } else { ((i + 1) as f64 * width).powf(exponent) };
                let lower = pace * inner / (width * volume);
                let upper = pace * outer / (width * volume);
                let above = if i == 0 { 0.0 } else { bodies.upper[i - 1][lane] };
                let pivot = 1.0 / (1.0 + lower + upper - lower * above);
                bodies.lower[i][lane] = lower;
                bodies.upper[i][lane] = upper * pivot;
                bodies.pivot[i][lane] = pivot;
            }
            let last_volume = fractions[SHELLS - 1] / (exponent + 1.0);
            bodies.surface_gain[lane] = GAMMA * step_s / (DENSITY * SPECIFIC_HEAT * radius * last_volume);
            bodies.half_shell[lane] = 0.5 * width * radius / CONDUCTIVITY;
        }
        bodies
    }

    /// One step in a medium that goes from `from_c` to `to_c`, with a surface coefficient in W/(m² K).
    #[inline(always)]
    pub fn step(&mut self, from_c: &[f64; L], to_c: &[f64; L], coefficient: &[f64; L]) {
        let mut middle_c = [0.0; L];
        for lane in 0..L {
            middle_c[lane] = from_c[lane] + GAMMA * (to_c[lane] - from_c[lane]);
        }
        let mut first = self.celsius;
        let flux_first = self.stage(&mut first, &middle_c, coefficient);
        // Second stage: start + (1 − γ) · slope of the first stage, where slope = (first − start) / γ.
        let carry = (1.0 - GAMMA) / GAMMA;
        for (now, first) in self.celsius.as_flattened_mut().iter_mut().zip(first.as_flattened()) {
            *now += carry * (first - *now);
        }
        let mut second = self.celsius;
        let flux_second = self.stage(&mut second, to_c, coefficient);
        self.celsius = second;
        for lane in 0..L {
            self.heat_in[lane] = self.step_s * ((1.0 - GAMMA) * flux_first[lane] + GAMMA * flux_second[lane]);
            self.surface_c[lane] = self.celsius[SHELLS - 1][lane] + flux_second[lane] * self.half_shell[lane];
        }
    }

    /// Solves one stage in place, from its right-hand side to its temperatures; answers the surface flux, W/m².
    #[inline(always)]
    fn stage(&self, rows: &mut [[f64; L]; SHELLS], medium_c: &[f64; L], coefficient: &[f64; L]) -> [f64; L] {
        for lane in 0..L {
            rows[0][lane] *= self.pivot[0][lane];
        }
        for i in 1..SHELLS {
            for lane in 0..L {
                rows[i][lane] = (rows[i][lane] + self.lower[i][lane] * rows[i - 1][lane]) * self.pivot[i][lane];
            }
        }
        let mut flux = [0.0; L];
        for lane in 0..L {
            let through = 1.0 / (1.0 / coefficient[lane] + self.half_shell[lane]);
            let gain = self.surface_gain[lane] * self.pivot[SHELLS - 1][lane];
            let last = rows[SHELLS - 1][lane];
            let closed = (last + gain * through * medium_c[lane]) / (1.0 + gain * through);
            flux[lane] = through * (medium_c[lane] - closed);
            rows[SHELLS - 1][lane] = closed;
        }
        for i in (0..SHELLS - 1).rev() {
            for lane in 0..L {
                rows[i][lane] += self.upper[i][lane] * rows[i + 1][lane];
            }
        }
        flux
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

#[cfg(test)]
mod tests {
    use super::*;
    use proptest::prelude::*;

    #[test]
    fn agrees_with_the_series_solutions_within_0_3_kelvin() {
        let radius = 0.04;
        let diffusivity = CONDUCTIVITY / (DENSITY * SPECIFIC_HEAT);
        // The middle of the innermost shell stands half a shell off the centre; extrapolate to it.
        for line in include_str!("../../tests/oracle/conduction_series.csv").lines().skip(1) {
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
            let mut bodies = Bodies::new(exponent, [radius], 5.0, total_s / steps);
            for _ in 0..steps as usize {
                bodies.step(&[100.0], &[100.0], &[biot * CONDUCTIVITY / radius]);
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
            let mut bodies = Bodies::new(exponent, [radius], 5.0, 60.0);
            let mut heat_in = 0.0;
            for minute in 0..300 {
                let from = medium - 30.0 * (-(minute as f64) / 9.0).exp();
                let to = medium - 30.0 * (-(minute as f64 + 1.0) / 9.0).exp();
                bodies.step(&[from], &[to], &[coefficient]);
                heat_in += bodies.heat_in[0];
            }
            let mean: f64 = bodies.celsius.iter().zip(bodies.fractions).map(|(t, f)| t[0] * f).sum();
            let stored = DENSITY * SPECIFIC_HEAT * radius / (exponent + 1.0) * (mean - 5.0);
            prop_assert!((stored / heat_in - 1.0).abs() < 1e-6, "stored {stored}, came in {heat_in}");
        }

        #[test]
        fn the_middle_never_leads_the_surface_in_a_warmer_bath(exponent in 0.0..2.0f64, radius in 0.01..0.1f64) {
            let mut bodies = Bodies::new(exponent, [radius], 5.0, 60.0);
            for _ in 0..240 {
                bodies.step(&[90.0], &[90.0], &[300.0]);
                for i in 1..SHELLS {
                    prop_assert!(bodies.celsius[i][0] >= bodies.celsius[i - 1][0] - 1e-6);
                }
                prop_assert!(bodies.surface_c[0] <= 90.0 + 1e-9);
            }
        }
    }
}
