//! The yardstick: the classical explicit Runge-Kutta method of fourth order on one body in the pit. All speed is told in it, for it takes
//! as much longer as anything else on a slow day.

use ergastic_physics::body::{SHELLS, shell_fractions};
use ergastic_physics::parameters::Parameters;
use ergastic_physics::pit::{Pit, psychrometric};
use ergastic_physics::steam::{LATENT_HEAT, saturation};

/// What both go by.
pub const P: Parameters = Parameters::USUAL;
pub const EXPONENT: f64 = 0.25;
pub const RADIUS_M: f64 = 0.05;
pub const AIR_C: f64 = 110.0;
pub const START_C: f64 = 5.0;
pub const HOURS: usize = 12;
/// Shells, and water gone from the surface in kg/m².
const UNKNOWNS: usize = SHELLS + 1;

fn pit() -> Pit {
    Pit {
        set_c: AIR_C,
        start_c: AIR_C,
        mop: None,
        open_every_s: None,
        tend_every_s: None,
        psychrometric: psychrometric(101_325.0),
    }
}

/// What evaporation draws for each Pa, W/(m² Pa), with so much water gone.
pub fn evaporation(gone: f64) -> f64 {
    P.surface.pit * pit().wetness(&P.pit, gone, 0.0, 1.0) / pit().psychrometric
}

type State = [f64; UNKNOWNS];

/// The same equations, as a general method takes them.
struct Problem {
    fractions: [f64; SHELLS],
    faces: [f64; SHELLS],
}

impl Problem {
    fn slope(&self, state: &State) -> State {
        let width = RADIUS_M / SHELLS as f64;
        let half_shell = 0.5 * width / P.meat.conductivity;
        let (last, e) = (state[SHELLS - 1], evaporation(f64::max(0.0, state[SHELLS])));
        // The surface has no heat of its own: what comes in goes on into the outermost shell.
        let mut surface_c = last;
        let mut flux = 0.0;
        for _ in 0..8 {
            let (pressure, rise) = saturation().with_slope(surface_c);
            flux = P.surface.pit * (AIR_C - surface_c) - e * (pressure - P.pit.vapour_pa);
            let miss = surface_c - last - half_shell * flux;
            surface_c -= miss / (1.0 + half_shell * (P.surface.pit + e * rise));
        }
        let mass = |i: usize| P.meat.density * P.meat.specific_heat * RADIUS_M * self.fractions[i] / (EXPONENT + 1.0);
        let through = |i: usize| self.faces[i] * P.meat.conductivity * (state[i - 1] - state[i]) / width;
        let mut slope = [0.0; UNKNOWNS];
        for i in 0..SHELLS {
            let inner = if i == 0 { 0.0 } else { through(i) };
            let outer = if i + 1 == SHELLS { -flux } else { through(i + 1) };
            slope[i] = (inner - outer) / mass(i);
        }
        slope[SHELLS] = (P.surface.pit * (AIR_C - surface_c) - flux) / LATENT_HEAT;
        slope
    }
}

fn along(state: &State, slope: &State, step_s: f64) -> State {
    std::array::from_fn(|i| state[i] + step_s * slope[i])
}

/// The classical explicit method of fourth order, at about the longest step at which it stays stable.
pub fn yardstick() -> [f64; SHELLS] {
    const STEP_S: f64 = 15.0;
    let problem = Problem {
        fractions: shell_fractions(EXPONENT),
        faces: std::array::from_fn(|i| (i as f64 / SHELLS as f64).powf(EXPONENT)),
    };
    let mut state = [START_C; UNKNOWNS];
    state[SHELLS] = 0.0;
    for _ in 0..(HOURS as f64 * 3600.0 / STEP_S) as usize {
        let first = problem.slope(&state);
        let second = problem.slope(&along(&state, &first, 0.5 * STEP_S));
        let third = problem.slope(&along(&state, &second, 0.5 * STEP_S));
        let fourth = problem.slope(&along(&state, &third, STEP_S));
        let mean = std::array::from_fn(|i| (first[i] + 2.0 * (second[i] + third[i]) + fourth[i]) / 6.0);
        state = along(&state, &mean, STEP_S);
    }
    std::array::from_fn(|i| state[i])
}
