//! A piece of meat as a body that heat goes into: what lean beef is like, its equivalent shape, its shells, and what its
//! surface meets.

use crate::parameters::Parameters;

/// Density of lean beef, kg/m³.
pub const DENSITY: f64 = Parameters::USUAL.meat.density;
/// Shells from the middle to the surface.
pub const SHELLS: usize = 24;
/// Above this nothing is frozen, °C.
pub const THAWED_C: f64 = Parameters::USUAL.meat.freezes_c;

/// The equivalent body of a piece with three sides.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct BodyShape {
    /// Half of the shortest side, m.
    pub half_thickness_m: f64,
    /// 0 slab, 1 cylinder, 2 sphere, and between.
    pub exponent: f64,
}

impl BodyShape {
    /// From the sides in metres, in any order: `β = min(2, (l1/l2)² + (l1/l3)²)`.
    ///
    /// ```
    /// use ergastic_physics::body::BodyShape;
    /// let slice = BodyShape::from_sides([0.04, 0.20, 0.30]);
    /// assert!(slice.exponent < 0.1 && slice.half_thickness_m == 0.02);
    /// assert_eq!(BodyShape::from_sides([0.04, 0.04, 0.04]).exponent, 2.0);
    /// ```
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

/// What the surface of `L` bodies meets over a step.
#[derive(Debug, Clone, Copy)]
pub struct Surroundings<const L: usize> {
    /// At the step's start, °C.
    pub from_c: [f64; L],
    /// At its end, °C.
    pub to_c: [f64; L],
    /// Surface coefficient, W/(m² K).
    pub coefficient: [f64; L],
    /// Heat that evaporation draws for each Pa of vapour pressure over the air's, W/(m² Pa); 0 under liquid.
    pub evaporation: [f64; L],
    /// Whether any of them evaporates.
    pub wet: bool,
    /// Vapour pressure in the air, Pa.
    pub air_vapour_pa: [f64; L],
}

impl<const L: usize> Surroundings<L> {
    /// Liquid, fat or steam, where nothing evaporates from the meat.
    pub fn dry(from_c: [f64; L], to_c: [f64; L], coefficient: [f64; L]) -> Self {
        Self { from_c, to_c, coefficient, evaporation: [0.0; L], wet: false, air_vapour_pa: [0.0; L] }
    }
}
