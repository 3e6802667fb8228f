//! A smooth positive function of temperature, quick enough for every shell of every cook at every step.

/// `f(t) ≈ p(t)⁸` between two temperatures, with `p` a polynomial through `f^(1/8)` at Chebyshev's nodes.
///
/// The eighth root is nearly straight for everything that grows like an exponential (saturation pressure, softening), so
/// a few terms are good to parts in a million, and sums and products are all that is left: the compiler vectorises it.
#[derive(Debug, Clone, Copy)]
pub struct Smooth<const TERMS: usize> {
    /// The place of a temperature between −1 and 1 is `offset + per_kelvin · t`.
    offset: f64,
    per_kelvin: f64,
    terms: [f64; TERMS],
}

impl<const TERMS: usize> Smooth<TERMS> {
    /// Fits `f` between `low_c` and `high_c`; beyond them it is held at its ends.
    pub fn fit(low_c: f64, high_c: f64, f: impl Fn(f64) -> f64) -> Self {
        let (middle, half) = (0.5 * (low_c + high_c), 0.5 * (high_c - low_c));
        // Chebyshev coefficients, then the same polynomial in powers of u.
        let mut chebyshev = [0.0; TERMS];
        for node in 0..TERMS {
            let angle = std::f64::consts::PI * (node as f64 + 0.5) / TERMS as f64;
            let root = f(middle + half * angle.cos()).powf(0.125);
            for (order, coefficient) in chebyshev.iter_mut().enumerate() {
                let share = if order == 0 { 1.0 } else { 2.0 } / TERMS as f64;
                *coefficient += share * root * (order as f64 * angle).cos();
            }
        }
        let mut terms = [0.0; TERMS];
        let (mut before, mut now) = ([0.0; TERMS], [0.0; TERMS]);
        before[0] = 1.0;
        now[1] = 1.0;
        for (order, coefficient) in chebyshev.iter().enumerate() {
            let powers = if order == 0 { before } else { now };
            for (term, power) in terms.iter_mut().zip(powers) {
                *term += coefficient * power;
            }
            if order > 0 {
                let mut next = [0.0; TERMS];
                for i in 0..TERMS {
                    next[i] = if i > 0 { 2.0 * now[i - 1] } else { 0.0 } - before[i];
                }
                (before, now) = (now, next);
            }
        }
        Self { offset: -middle / half, per_kelvin: 1.0 / half, terms }
    }

    #[inline(always)]
    fn place(&self, celsius: f64) -> f64 {
        celsius.mul_add(self.per_kelvin, self.offset).clamp(-1.0, 1.0)
    }

    /// The function at a temperature.
    #[inline(always)]
    pub fn at(&self, celsius: f64) -> f64 {
        let u = self.place(celsius);
        let mut root = self.terms[TERMS - 1];
        for term in self.terms[..TERMS - 1].iter().rev() {
            root = root.mul_add(u, *term);
        }
        let square = root * root;
        let fourth = square * square;
        fourth * fourth
    }

    /// The function and its slope per kelvin.
    #[inline(always)]
    pub fn with_slope(&self, celsius: f64) -> (f64, f64) {
        let u = self.place(celsius);
        let (mut root, mut slope) = (self.terms[TERMS - 1], 0.0_f64);
        for term in self.terms[..TERMS - 1].iter().rev() {
            slope = slope.mul_add(u, root);
            root = root.mul_add(u, *term);
        }
        let square = root * root;
        let fourth = square * square;
        (fourth * fourth, 8.0 * fourth * square * root * slope * self.per_kelvin)
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::steam::saturation_pressure;

    #[test]
    fn it_follows_an_exponential_and_its_slope_and_is_held_at_its_ends() {
        let smooth = Smooth::<8>::fit(0.0, 140.0, saturation_pressure);
        for i in 0..=1400 {
            let t = f64::from(i) / 10.0;
            let ratio = smooth.at(t) / saturation_pressure(t);
            assert!((ratio - 1.0).abs() < 1e-5, "{t} °C: {ratio}");
            let slope = (saturation_pressure(t + 0.01) - saturation_pressure(t - 0.01)) / 0.02;
            assert!(!(1.0..=139.0).contains(&t) || (smooth.with_slope(t).1 / slope - 1.0).abs() < 1e-3, "{t} °C");
        }
        assert_eq!(smooth.at(200.0), smooth.at(140.0));
    }
}
