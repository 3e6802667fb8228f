//! Frozen meat: conduction by enthalpy, with the ice's heat spread over the temperatures at which it melts.
//!
//! Each short step solves the linearised conduction implicitly, then adds the fluxes to each shell's
//! enthalpy and reads its temperature back from the curve: what came in is what is stored, to the last digit.

use crate::body::{SHELLS, Surroundings};
use crate::parameters::Meat;
use crate::steam::{LATENT_HEAT, saturation};

/// Steps within a step.
const PARTS: usize = 2;
/// The most rounds of Newton's method; four are usual.
const ROUNDS: usize = 20;

/// Apparent specific heat while it melts, J/(kg K).
fn melting_specific_heat(meat: &Meat) -> f64 {
    meat.melting / (meat.freezes_c - meat.solid_c)
}

/// Enthalpy at a temperature in °C, J/kg, counted from the thawed end.
pub fn enthalpy(meat: &Meat, celsius: f64) -> f64 {
    if celsius >= meat.freezes_c {
        meat.specific_heat * (celsius - meat.freezes_c)
    } else if celsius >= meat.solid_c {
        melting_specific_heat(meat) * (celsius - meat.freezes_c)
    } else {
        meat.frozen_specific_heat * (celsius - meat.solid_c) - meat.melting
    }
}

/// The temperature of an enthalpy: the inverse of [`enthalpy`].
pub fn temperature(meat: &Meat, enthalpy: f64) -> f64 {
    if enthalpy >= 0.0 {
        meat.freezes_c + enthalpy / meat.specific_heat
    } else if enthalpy >= -meat.melting {
        meat.freezes_c + enthalpy / melting_specific_heat(meat)
    } else {
        meat.solid_c + (enthalpy + meat.melting) / meat.frozen_specific_heat
    }
}

fn conductivity(meat: &Meat, celsius: f64) -> f64 {
    let thawed = ((celsius - meat.solid_c) / (meat.freezes_c - meat.solid_c)).clamp(0.0, 1.0);
    meat.frozen_conductivity + thawed * (meat.conductivity - meat.frozen_conductivity)
}

fn apparent_specific_heat(meat: &Meat, celsius: f64) -> f64 {
    if celsius >= meat.freezes_c {
        meat.specific_heat
    } else if celsius >= meat.solid_c {
        melting_specific_heat(meat)
    } else {
        meat.frozen_specific_heat
    }
}

/// The bodies' shape.
#[derive(Debug, Clone, Copy)]
pub struct Geometry<const L: usize> {
    /// What they are of.
    pub meat: Meat,
    /// Shape exponent.
    pub exponent: f64,
    /// Area of each shell's inner face over the surface's.
    pub faces: [f64; SHELLS],
    /// Half-thickness, m.
    pub radius_m: [f64; L],
}

/// What a step did to one body.
pub struct Stepped {
    /// The very surface, °C.
    pub surface_c: f64,
    /// Heat in through the surface, J/m².
    pub heat_in: f64,
    /// Water off the surface, kg/m².
    pub evaporated: f64,
}

/// One step of one body.
pub fn step<const L: usize>(
    geometry: &Geometry<L>,
    lane: usize,
    fractions: &[f64; SHELLS],
    celsius: &mut [f64; SHELLS],
    around: &Surroundings<L>,
    step_s: f64,
) -> Stepped {
    let (meat, radius) = (&geometry.meat, geometry.radius_m[lane]);
    let width = radius / SHELLS as f64;
    let part_s = step_s / PARTS as f64;
    // Mass behind a square metre of surface, kg/m².
    let mass = |shell: usize| meat.density * radius * fractions[shell] / (geometry.exponent + 1.0);
    let (h, e) = (around.coefficient[lane], around.evaporation[lane]);
    let mut done = Stepped { surface_c: celsius[SHELLS - 1], heat_in: 0.0, evaporated: 0.0 };
    for part in 0..PARTS {
        let along = (part + 1) as f64 / PARTS as f64;
        let medium_c = around.from_c[lane] + along * (around.to_c[lane] - around.from_c[lane]);
        // W/(m² K) through each inner face, of a square metre of surface.
        let face: [f64; SHELLS] = std::array::from_fn(|i| match i {
            0 => 0.0,
            _ => {
                geometry.faces[i] * 0.5 * (conductivity(meat, celsius[i - 1]) + conductivity(meat, celsius[i])) / width
            }
        });
        let half_shell = 0.5 * width / conductivity(meat, celsius[SHELLS - 1]);
        let (pressure, slope) = saturation().with_slope(done.surface_c);
        // Evaporation linearised about the surface: a conductance to a medium of its own.
        let wet_h = h + e * slope;
        let wet_c = (h * medium_c - e * (pressure - around.air_vapour_pa[lane] - slope * done.surface_c)) / wet_h;
        let through = wet_h / (1.0 + wet_h * half_shell);
        let next = melted(meat, celsius, &face, through, wet_c, |shell| mass(shell) / part_s);
        let flux = through * (wet_c - next[SHELLS - 1]);
        for i in 0..SHELLS {
            let inner = if i == 0 { 0.0 } else { face[i] * (next[i - 1] - next[i]) };
            let outer = if i + 1 == SHELLS { flux } else { face[i + 1] * (next[i + 1] - next[i]) };
            celsius[i] = temperature(meat, enthalpy(meat, celsius[i]) + (inner + outer) * part_s / mass(i));
        }
        done.surface_c = next[SHELLS - 1] + flux * half_shell;
        done.heat_in += flux * part_s;
        done.evaporated += (h * (medium_c - done.surface_c) - flux) * part_s / LATENT_HEAT;
    }
    done
}

/// Where the shells are at the end of a part of a step, by Newton's method on the enthalpies, which are carried on by the
/// curve's slope: a shell that comes out of the ice then takes up the heat of melting on its way instead of leaping over it.
fn melted(
    meat: &Meat,
    celsius: &[f64; SHELLS],
    face: &[f64; SHELLS],
    through: f64,
    medium_c: f64,
    mass_a_second: impl Fn(usize) -> f64,
) -> [f64; SHELLS] {
    let start: [f64; SHELLS] = celsius.map(|celsius| enthalpy(meat, celsius));
    let (mut heat, mut next) = (start, *celsius);
    for _ in 0..ROUNDS {
        let before = heat.map(|heat| temperature(meat, heat));
        let slope = before.map(|celsius| apparent_specific_heat(meat, celsius));
        next = solve(face, through, medium_c, |i| {
            let stored = mass_a_second(i);
            (stored * slope[i], stored * (slope[i] * before[i] - heat[i] + start[i]))
        });
        let mut moved = 0.0;
        for i in 0..SHELLS {
            moved = f64::max(moved, (next[i] - before[i]).abs());
            heat[i] += slope[i] * (next[i] - before[i]);
        }
        if moved < 1e-7 {
            break;
        }
    }
    next
}

/// Solves the linearised conduction of a part of a step: `stored` is what each shell takes for a kelvin, W/(m² K), and what
/// it holds against 0 °C, W/m².
fn solve(face: &[f64; SHELLS], through: f64, medium_c: f64, stored: impl Fn(usize) -> (f64, f64)) -> [f64; SHELLS] {
    let (mut ratio, mut rest) = ([0.0; SHELLS], [0.0; SHELLS]);
    for i in 0..SHELLS {
        let outermost = i + 1 == SHELLS;
        let outer = if outermost { through } else { face[i + 1] };
        let above = if i == 0 { (0.0, 0.0) } else { (ratio[i - 1], rest[i - 1]) };
        let (per_kelvin, held) = stored(i);
        let pivot = per_kelvin + face[i] * (1.0 - above.0) + outer;
        let known = held + face[i] * above.1 + if outermost { through * medium_c } else { 0.0 };
        ratio[i] = outer / pivot;
        rest[i] = known / pivot;
    }
    let mut next = rest;
    for i in (0..SHELLS - 1).rev() {
        next[i] = rest[i] + ratio[i] * next[i + 1];
    }
    next
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::conduction::Bodies;
    use proptest::prelude::*;

    /// Minutes until the middle of a body passes a temperature in moving water.
    fn minutes_to(start_c: f64, medium_c: f64, until_c: f64) -> f64 {
        let mut bodies = Bodies::new(0.6, [0.035], start_c, 60.0, &Meat::USUAL);
        let around = Surroundings::dry([medium_c], [medium_c], [300.0]);
        let mut minutes = 0.0;
        while bodies.celsius[0][0] < until_c && minutes < 6000.0 {
            bodies.step(&around);
            minutes += 1.0;
        }
        minutes
    }

    #[test]
    fn frozen_meat_takes_about_half_as_long_again() {
        let (thawed, frozen) = (minutes_to(5.0, 95.5, 80.0), minutes_to(-18.0, 95.5, 80.0));
        assert!((1.25..1.75).contains(&(frozen / thawed)), "{frozen} min against {thawed}");
    }

    #[test]
    fn a_slab_thaws_as_planks_equation_says() {
        // Plank: t = ρ L / (T_medium − T_melt) · (R / h + R² / 2k), with sensible heat left out; a cold medium makes it small.
        let radius = 0.03;
        let mut bodies = Bodies::new(0.0, [radius], -4.99, 60.0, &Meat::USUAL);
        let around = Surroundings::dry([8.0], [8.0], [40.0]);
        let mut minutes = 0.0;
        while bodies.frozen[0] && minutes < 6000.0 {
            bodies.step(&around);
            minutes += 1.0;
        }
        let plank = Meat::USUAL.density * Meat::USUAL.melting / (8.0 + 3.0)
            * (radius / 40.0 + radius * radius / (2.0 * Meat::USUAL.conductivity))
            / 60.0;
        assert!((0.8..1.35).contains(&(minutes / plank)), "{minutes} min against Plank's {plank}");
    }

    proptest! {
        #[test]
        fn enthalpy_and_temperature_are_each_others_inverse(t in -30.0..120.0f64) {
            prop_assert!((temperature(&Meat::USUAL, enthalpy(&Meat::USUAL, t)) - t).abs() < 1e-9);
        }

        #[test]
        fn the_heat_that_came_in_is_stored(exponent in 0.0..2.0f64, radius in 0.01..0.1f64, start_c in -25.0..-2.0f64, medium in 20.0..110.0f64) {
            let mut bodies = Bodies::new(exponent, [radius], start_c, 60.0, &Meat::USUAL);
            let around = Surroundings::dry([medium], [medium], [200.0]);
            let mut heat_in = 0.0;
            let mut last = start_c;
            for _ in 0..400 {
                bodies.step(&around);
                heat_in += bodies.heat_in[0];
                prop_assert!(bodies.celsius[0][0] >= last - 1e-3, "the middle cools from {last} to {}", bodies.celsius[0][0]);
                last = bodies.celsius[0][0];
            }
            let stored: f64 = bodies.celsius.iter().zip(bodies.fractions)
                .map(|(t, f)| (enthalpy(&Meat::USUAL, t[0]) - enthalpy(&Meat::USUAL, start_c)) * f).sum::<f64>() * Meat::USUAL.density * radius / (exponent + 1.0);
            prop_assert!((stored / heat_in - 1.0).abs() < 1e-6, "stored {stored}, came in {heat_in}");
        }
    }
}
