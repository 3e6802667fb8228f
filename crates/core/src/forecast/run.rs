//! One run of a case: the pot and `L` members' meat stepped together until all have gone too far.

use multiversion::multiversion;
use rayon::prelude::*;

use super::members::Member;
use super::resolve::{Case, PotHeat};
use crate::heat::conduction::{Bodies, CONDUCTIVITY, DENSITY, SHELLS, SPECIFIC_HEAT, shell_fractions};
use crate::heat::pot::{OvenStep, Pot, RISE_S, Simmer, Vessel, WATER_SPECIFIC_HEAT};
use crate::juices::{JUICE_S, juice_equilibrium};
use crate::tender::{ACTIVATION_ENERGY, GAS_CONSTANT, REFERENCE_K, SOFTENS_FROM_C};
use crate::units::{HOUR_S, ZERO_CELSIUS_K};

/// Length of a step, s.
pub const STEP_S: f64 = 60.0;
/// The longest cook that is followed, s.
pub const HORIZON_S: f64 = 72.0 * HOUR_S;
/// Members stepped side by side.
const LANES: usize = 8;
/// Simmering liquid to meat, W/(m² K). Working value.
const LIQUID_COEFFICIENT: f64 = 300.0;
/// Steam over the liquid in a covered pot to meat, W/(m² K). Working value.
const STEAM_COEFFICIENT: f64 = 60.0;
/// A simmer counts as reached this close under the boil, K: gentle bubbles.
const SIMMER_REACHED_K: f64 = 4.5;

/// When one member is ready, and when it has gone too far; infinite if not within the horizon.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Times {
    /// Tender enough, s from the meat meeting the heat.
    pub ready_s: f64,
    /// Gone too far, s.
    pub too_far_s: f64,
}

/// What a watcher may see after a step.
pub struct Moment<'a, const L: usize> {
    /// Time at the end of the step, s.
    pub time_s: f64,
    /// The meat.
    pub bodies: &'a Bodies<L>,
    /// Softening rates at the step's start, by shell.
    pub rates_before: &'a [[f64; L]; SHELLS],
    /// Softening rates at its end.
    pub rates_now: &'a [[f64; L]; SHELLS],
    /// The liquid, °C.
    pub medium_c: &'a [f64; L],
    /// Mean tender-hours.
    pub mean_dose: &'a [f64; L],
    /// Water lost as steam so far, kg.
    pub steam_kg: &'a [f64; L],
}

/// Something that looks on while a run goes.
pub trait Watch<const L: usize> {
    /// Called after every step; `false` ends the run.
    fn look(&mut self, moment: &Moment<L>) -> bool;
}

/// Looks at nothing and waits for every member.
pub struct Unwatched;

impl<const L: usize> Watch<L> for Unwatched {
    #[inline(always)]
    fn look(&mut self, _: &Moment<L>) -> bool {
        true
    }
}

/// `e^x` for |x| ≤ 3.5, to 2e-6: a polynomial on x/8, raised to the eighth, which the compiler can vectorise.
#[inline(always)]
fn exp_small(x: f64) -> f64 {
    let y = x / 8.0;
    let p = 1.0 + y * (1.0 + y * (0.5 + y * (1.0 / 6.0 + y * (1.0 / 24.0 + y * (1.0 / 120.0 + y / 720.0)))));
    let p2 = p * p;
    let p4 = p2 * p2;
    p4 * p4
}

/// [`crate::tender::rate`] for every shell of every lane, as one flat loop: the compiler vectorises it.
#[inline(always)]
fn rates<const L: usize>(celsius: &[[f64; L]; SHELLS], rates: &mut [[f64; L]; SHELLS]) {
    for (rate, celsius) in rates.as_flattened_mut().iter_mut().zip(celsius.as_flattened()) {
        let t = celsius.clamp(SOFTENS_FROM_C, 130.0);
        let softening = exp_small(-ACTIVATION_ENERGY / GAS_CONSTANT * (1.0 / (t + ZERO_CELSIUS_K) - 1.0 / REFERENCE_K));
        *rate = if *celsius < SOFTENS_FROM_C { 0.0 } else { softening };
    }
}

/// Heat capacity of what stands on the hob, against the pot the rise was fitted on.
fn rise_s(case: &Case) -> f64 {
    let capacity = |pot: &Pot, litres: f64, meat_kg: f64| {
        pot.heat_capacity() + litres * WATER_SPECIFIC_HEAT + meat_kg * SPECIFIC_HEAT
    };
    let fitted = Vessel::default().resolve(case.pot.lid).expect("the default vessel is in range");
    RISE_S * (capacity(&case.pot, case.liquid_l, case.mass_kg) / capacity(&fitted, 1.0, 1.4)).clamp(0.5, 4.0)
}

/// Seconds on the hob before the pot goes into the oven.
pub fn come_up_s(case: &Case) -> f64 {
    let gap = case.boil_c - case.liquid_start_c;
    if gap <= SIMMER_REACHED_K { 0.0 } else { rise_s(case) * (gap / SIMMER_REACHED_K).ln() }
}

/// Steps `L` members of a case together.
#[inline(always)]
pub fn simulate<const L: usize>(case: &Case, members: &[Member; L], watch: &mut impl Watch<L>) -> [Times; L] {
    let mut radius = [0.0; L];
    let mut enough = [0.0; L];
    let mut too_far = [0.0; L];
    let mut meat_m2 = [0.0; L];
    for lane in 0..L {
        radius[lane] = case.shape.half_thickness_m * members[lane].thickness;
        enough[lane] = case.goal.enough * members[lane].resistance;
        too_far[lane] = case.goal.too_far * members[lane].resistance;
        meat_m2[lane] = case.mass_kg / DENSITY * (case.shape.exponent + 1.0) / radius[lane];
    }
    let fractions = shell_fractions(case.shape.exponent);
    let mut bodies = Bodies::<L>::new(case.shape.exponent, radius, case.start_c, STEP_S);
    let mut medium_c = [case.liquid_start_c; L];
    let mut water_kg = [case.liquid_l; L];
    let mut steam_kg = [0.0; L];
    let mut juice_kg = [0.0; L];
    let mut mean_dose = [0.0; L];
    let mut core_dose = [0.0; L];
    let mut rates_before = [[0.0; L]; SHELLS];
    let mut rates_now = [[0.0; L]; SHELLS];
    let mut times = [Times { ready_s: f64::INFINITY, too_far_s: f64::INFINITY }; L];

    let lean_kg = case.mass_kg * (1.0 - (case.facts.bone_pct + case.facts.trim_pct + case.facts.fat_pct) / 100.0);
    let juice_share = 1.0 - (-STEP_S / JUICE_S).exp();
    let rise = 1.0 - (-STEP_S / rise_s(case)).exp();
    let come_up = come_up_s(case);
    let pot_capacity = case.pot.heat_capacity();

    let steps = (HORIZON_S / STEP_S) as usize;
    for step in 0..steps {
        let start_s = step as f64 * STEP_S;
        let mut coefficient = [0.0; L];
        let mut next_c = [0.0; L];
        let mut oven = [None; L];
        let in_oven = match case.heat {
            PotHeat::Oven { set_c, fan } if start_s >= come_up => Some((set_c, fan)),
            _ => None,
        };
        for lane in 0..L {
            let member = &members[lane];
            let under = case.packing.submerged(water_kg[lane]);
            coefficient[lane] = member.coefficient * (under * LIQUID_COEFFICIENT + (1.0 - under) * STEAM_COEFFICIENT);
            let boil_c = case.boil_c;
            if let Some((set_c, fan)) = in_oven {
                let half_shell = 0.5 * radius[lane] / SHELLS as f64 / CONDUCTIVITY;
                let now = OvenStep {
                    step_s: STEP_S,
                    celsius: medium_c[lane],
                    oven_c: set_c + member.oven_k,
                    boil_c,
                    heat_capacity: pot_capacity + water_kg[lane] * WATER_SPECIFIC_HEAT,
                    conductance: case.pot.oven_conductance(fan),
                    meat_conductance: meat_m2[lane] / (1.0 / coefficient[lane] + half_shell),
                    meat_c: bodies.celsius[SHELLS - 1][lane],
                    lid_factor: member.lid,
                    fan,
                };
                next_c[lane] = case.pot.oven_predict(&now);
                oven[lane] = Some(now);
            } else {
                // On the hob the cook holds the simmer by eye: the medium follows the word.
                let word = match case.heat {
                    PotHeat::Hob(simmer) => simmer,
                    PotHeat::Oven { .. } => Simmer::Boil,
                };
                let target = f64::min(boil_c, boil_c - word.below_boil() + member.pot_k);
                next_c[lane] = medium_c[lane] + (target - medium_c[lane]) * rise;
                let seen = if let PotHeat::Hob(simmer) = case.heat { simmer } else { Simmer::Gentle };
                steam_kg[lane] += STEP_S * case.pot.hob_loss(seen, medium_c[lane], member.lid);
            }
        }
        bodies.step(&medium_c, &next_c, &coefficient);
        for lane in 0..L {
            if let Some(now) = &oven[lane] {
                let (closed_c, steam) = case.pot.oven_close(now, next_c[lane], bodies.heat_in[lane] * meat_m2[lane]);
                next_c[lane] = closed_c;
                steam_kg[lane] += steam;
            }
            let mut mean_c = 0.0;
            for shell in 0..SHELLS {
                mean_c += fractions[shell] * bodies.celsius[shell][lane];
            }
            // The juice that joins the liquid, from the mean temperature: enough to know how deep the meat lies.
            let towards = lean_kg * juice_equilibrium(mean_c) - juice_kg[lane];
            juice_kg[lane] += f64::max(0.0, towards) * juice_share;
            water_kg[lane] = f64::max(0.0, case.liquid_l + juice_kg[lane] - steam_kg[lane]);
        }
        medium_c = next_c;

        rates(&bodies.celsius, &mut rates_now);
        let mut gain = [0.0; L];
        for shell in 0..SHELLS {
            for lane in 0..L {
                gain[lane] += fractions[shell] * (rates_before[shell][lane] + rates_now[shell][lane]);
            }
        }
        let half_step_h = 0.5 * STEP_S / HOUR_S;
        let mut waiting = false;
        for lane in 0..L {
            let (mean_before, core_before) = (mean_dose[lane], core_dose[lane]);
            mean_dose[lane] += half_step_h * gain[lane];
            core_dose[lane] += half_step_h * (rates_before[0][lane] + rates_now[0][lane]);
            let crossed = |before: f64, now: f64, goal: f64| {
                start_s + STEP_S * ((goal - before) / (now - before)).clamp(0.0, 1.0)
            };
            let time = &mut times[lane];
            if time.ready_s.is_infinite() && mean_dose[lane] >= enough[lane] && core_dose[lane] >= 0.5 * enough[lane] {
                let by_mean = crossed(mean_before, mean_dose[lane], enough[lane]);
                let by_core = crossed(core_before, core_dose[lane], 0.5 * enough[lane]);
                time.ready_s = f64::max(by_mean, by_core);
            }
            if time.too_far_s.is_infinite() && mean_dose[lane] >= too_far[lane] {
                // A thick piece can be overdone outside before its middle is done; it is never ready after too far.
                time.too_far_s =
                    f64::max(crossed(mean_before, mean_dose[lane], too_far[lane]), time.ready_s.min(HORIZON_S));
            }
            waiting |= time.too_far_s.is_infinite();
        }
        let go_on = watch.look(&Moment {
            time_s: start_s + STEP_S,
            bodies: &bodies,
            rates_before: &rates_before,
            rates_now: &rates_now,
            medium_c: &medium_c,
            mean_dose: &mean_dose,
            steam_kg: &steam_kg,
        });
        std::mem::swap(&mut rates_before, &mut rates_now);
        if !waiting || !go_on {
            break;
        }
    }
    times
}

#[multiversion(targets("x86_64+avx2+fma", "x86_64+avx"))]
fn run_lanes(case: &Case, members: &[Member; LANES]) -> [Times; LANES] {
    simulate(case, members, &mut Unwatched)
}

/// Runs the median member under a watcher.
pub fn run_median(case: &Case, watch: &mut impl Watch<1>) -> Times {
    simulate(case, &[Member::MEDIAN], watch)[0]
}

/// Members in groups of [`LANES`], the last filled up with the median.
fn groups(members: &[Member]) -> Vec<[Member; LANES]> {
    members
        .chunks(LANES)
        .map(|chunk| {
            let mut group = [Member::MEDIAN; LANES];
            group[..chunk.len()].copy_from_slice(chunk);
            group
        })
        .collect()
}

/// Runs every member; the answer does not depend on how many threads share the work.
pub fn run_all(case: &Case, members: &[Member]) -> Vec<Times> {
    let mut times: Vec<_> = groups(members).par_iter().flat_map_iter(|group| run_lanes(case, group)).collect();
    times.truncate(members.len());
    times
}

/// What one member showed at a moment: the probe's temperature and the mean tender-hours.
#[derive(Debug, Clone, Copy, PartialEq, Default)]
pub struct Sample {
    /// At the probe's tip, °C.
    pub probe_c: f64,
    /// Mean tender-hours over the cut's own resistance and this member's.
    pub tenderness: f64,
}

/// Takes samples at given times, in order.
struct Sampler<'a> {
    at_s: &'a [f64],
    next: usize,
    members: &'a [Member; LANES],
    resistance: f64,
    taken: Vec<[Sample; LANES]>,
}

impl Watch<LANES> for Sampler<'_> {
    #[inline(always)]
    fn look(&mut self, moment: &Moment<LANES>) -> bool {
        while self.next < self.at_s.len() && moment.time_s >= self.at_s[self.next] {
            let mut samples = [Sample::default(); LANES];
            for (lane, sample) in samples.iter_mut().enumerate() {
                let member = &self.members[lane];
                sample.probe_c = moment.bodies.at_radius(lane, member.placement);
                sample.tenderness = moment.mean_dose[lane] / (self.resistance * member.resistance);
            }
            self.taken.push(samples);
            self.next += 1;
        }
        true
    }
}

#[multiversion(targets("x86_64+avx2+fma", "x86_64+avx"))]
fn run_sampled(case: &Case, members: &[Member; LANES], at_s: &[f64]) -> ([Times; LANES], Vec<[Sample; LANES]>) {
    let mut sampler = Sampler { at_s, next: 0, members, resistance: case.goal.resistance, taken: Vec::new() };
    let times = simulate(case, members, &mut sampler);
    // A sample after everything has gone too far repeats the last: nothing is told apart there.
    let last = sampler.taken.last().copied().unwrap_or_default();
    sampler.taken.resize(at_s.len(), last);
    (times, sampler.taken)
}

/// Runs every member and samples each at the given times (s, ascending): `samples[time][member]`.
pub fn run_all_sampled(case: &Case, members: &[Member], at_s: &[f64]) -> (Vec<Times>, Vec<Vec<Sample>>) {
    let runs: Vec<_> = groups(members).par_iter().map(|group| run_sampled(case, group, at_s)).collect();
    let mut times = Vec::with_capacity(members.len());
    let mut samples = vec![Vec::with_capacity(members.len()); at_s.len()];
    for (group_times, group_samples) in runs {
        times.extend(group_times);
        for (all, group) in samples.iter_mut().zip(group_samples) {
            all.extend(group);
        }
    }
    times.truncate(members.len());
    for all in &mut samples {
        all.truncate(members.len());
    }
    (times, samples)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_fast_rate_is_the_rate() {
        for tenth in 0..=700 {
            let celsius = 60.0 + f64::from(tenth) / 10.0;
            let mut fast = [[0.0]; SHELLS];
            rates(&[[celsius]; SHELLS], &mut fast);
            let ratio = fast[0][0] / crate::tender::rate(celsius);
            assert!((ratio - 1.0).abs() < 1e-5, "{celsius} °C: {ratio}");
        }
        let mut fast = [[1.0]; SHELLS];
        rates(&[[59.9]; SHELLS], &mut fast);
        assert_eq!(fast[0][0], 0.0);
    }
}
