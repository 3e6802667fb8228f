//! What was found, laid over the cooks simulated beforehand.

use rayon::prelude::*;

use super::ahead::{Ahead, Moved, as_the_band_moved, stood_at, what_moved, width_after_a_look_s};
use super::evidence::{Evidence, FindingsFrom, gathered, readings_worth};
use super::resolve::ResolvedDish;
use super::stats::{in_order, quantile};
use super::weighted::{MIN_LEFT, THIN, Weighted, believed, effective, weights};
use crate::error::Result;
use ergastic_physics::case as physics;
use ergastic_physics::members::Drawn;
use ergastic_physics::{How, Sample, Times, run_all, run_all_sampled};

/// Of the weight, this has to be left to those that were still firm when a fork said so, with so many of them.
const MIN_STILL_FIRM: f64 = 0.02;
const FEWEST: f64 = 8.0;

/// The ensemble after the evidence, with how much of it is left.
#[derive(Debug, Clone)]
pub struct Update {
    /// The reweighted ensemble.
    pub ensemble: Weighted,
    /// The cooks behind it.
    pub drawn: Drawn,
    /// Of the cooks drawn beforehand, those that the findings leave with weight.
    pub effective: f64,
    /// Whether so few were left that new ones were drawn around them.
    pub redrawn: bool,
    /// Tenderness on the scale of slice to spoon at the moment asked for: P10, P50, P90.
    pub tenderness: Option<[f64; 3]>,
    /// Whether a finding lay outside what almost any simulated cook would show.
    pub surprising: bool,
    /// What each kind of finding says by itself.
    pub moved: Vec<Moved>,
    /// Ready before the latest finding: P10, P50, P90, s.
    pub before_latest_s: Option<[Option<f64>; 3]>,
    /// The cooks at the moments that were asked for.
    pub ahead: Vec<Ahead>,
}

/// What findings say of the members.
struct Weighing {
    /// Of each source of findings, the logarithm of each member's likelihood, up to what is common to all.
    sources: Vec<Vec<f64>>,
    /// The same of each finding.
    each: Vec<Vec<f64>>,
    /// Whether almost none foretold one of the findings.
    surprising: bool,
}

/// Weighs every member by how well it foretold the findings.
fn weigh(evidence: &[Evidence], samples: &[Vec<Sample>], members: usize) -> Weighing {
    let mut sources: Vec<(FindingsFrom, usize, Vec<f64>)> = Vec::new();
    let mut each = Vec::with_capacity(evidence.len());
    let mut surprising = false;
    for (found, samples) in evidence.iter().zip(samples) {
        let likely: Vec<f64> = samples.iter().map(|sample| found.log_likelihood(sample)).collect();
        // Less than one cook in fifty foretold it even faintly.
        let predicted = likely.iter().filter(|log| **log > 0.05_f64.ln()).count();
        surprising |= (predicted as f64) < 0.02 * members as f64;
        let source = found.source();
        if !sources.iter().any(|(known, ..)| *known == source) {
            sources.push((source, 0, vec![0.0; members]));
        }
        if let Some((_, count, logs)) = sources.iter_mut().find(|(known, ..)| *known == source) {
            *count += 1;
            logs.iter_mut().zip(&likely).for_each(|(sum, log)| *sum += log);
        }
        each.push(likely);
    }
    let tempered = |(source, count, mut logs): (FindingsFrom, usize, Vec<f64>)| {
        if matches!(source, FindingsFrom::Thermometer(_)) {
            let share = readings_worth(count) / count as f64;
            logs.iter_mut().for_each(|log| *log *= share);
        }
        logs
    };
    Weighing { sources: sources.into_iter().map(tempered).collect(), each, surprising }
}

/// So much of each source as leaves enough of the members by itself, and then so much of all together: a thermometer that says much may
/// not drown a fork that says little. The logarithms that are believed, and the share of each source.
fn tempered(sources: &[Vec<f64>], most: &[f64], share: f64, members: usize) -> (Vec<f64>, Vec<f64>) {
    let own: Vec<f64> = sources.iter().zip(most).map(|(logs, most)| believed(logs, *most, share)).collect();
    let mut logs = vec![0.0; members];
    for (source, power) in sources.iter().zip(&own) {
        logs.iter_mut().zip(source).for_each(|(sum, log)| *sum += power * log);
    }
    let together = believed(&logs, 1.0, share);
    logs.iter_mut().for_each(|log| *log *= together);
    (logs, own.into_iter().map(|power| power * together).collect())
}

/// The weights without those that were tender when a fork still found them too firm; none where hardly any is left.
fn still_firm(times: &[Times], weights: &[f64], firm_s: f64) -> Option<Vec<f64>> {
    let weights: Vec<f64> =
        times.iter().zip(weights).map(|(times, weight)| if times.ready_s > firm_s { *weight } else { 0.0 }).collect();
    let left: f64 = weights.iter().sum();
    (left >= MIN_STILL_FIRM && effective(&weights.iter().map(|weight| weight / left).collect::<Vec<_>>()) >= FEWEST)
        .then_some(weights)
}

/// Runs the case's ensemble and weighs each member by how well it foretold the evidence; with `look_s`,
/// also says how tender the meat is at that time after it met the heat.
///
/// Where the findings leave few cooks with weight, new ones are drawn around those and run: the spread stays that of what
/// the findings allow, and is not that of a handful of survivors. Where there was more in the findings than the first cooks
/// could bear, the new ones are weighed by the rest of it.
///
/// # Errors
/// Nobody waits for it any more.
pub fn update(case: &ResolvedDish, evidence: &[Evidence], look_s: Option<f64>) -> Result<Update> {
    update_ahead(case, evidence, look_s, &[])
}

/// The same, and how the cooks stand at some moments `ahead_s` (s after the meat met the heat, ascending).
///
/// # Errors
/// Nobody waits for it any more.
pub fn update_ahead(
    case: &ResolvedDish,
    evidence: &[Evidence],
    look_s: Option<f64>,
    ahead_s: &[f64],
) -> Result<Update> {
    let physics = case.physics();
    let drawn = case.drawn();
    let is_one = case.members == 1 || evidence.is_empty();
    let drawn = if is_one { drawn } else { drawn.with_far_animals(&physics) };
    let count = drawn.members.len();
    let evidence = gathered(evidence);
    let moments = Moments::of(&evidence, look_s, ahead_s);
    let run = |drawn: &Drawn| moments.run(&physics, drawn, &evidence, &case.how);
    let RanTimes { times, seen, ahead, samples, weighing } = run(&drawn)?;
    let Weighing { sources, each, mut surprising } = weighing;
    let (logs, powers) = match count {
        1 => (vec![0.0], vec![0.0; sources.len()]),
        _ => tempered(&sources, &vec![1.0; sources.len()], THIN, count),
    };
    let (mut moved, before_latest_s) =
        if count > 1 { what_moved(&evidence, &times, &samples, &each) } else { (Vec::new(), None) };
    let half_of = |ensemble: &Weighted| quantile(&ensemble.ready_s, &ensemble.weights, 0.5);
    let half_before = half_of(&Weighted::new(times.clone(), vec![1.0; count]));
    let mut cooks = Cooks { ensemble: Weighted::new(times, weights(&logs, 1.0)), drawn, seen, ahead };
    let effective = effective(&weights(&summed(&sources, count), 1.0));
    let redrawn = powers.iter().any(|power| *power < 1.0) && count > 1;
    let first = cooks.clone();
    if redrawn {
        let drawn = cooks.drawn.again(&cooks.ensemble.weights, case.seed);
        let RanTimes { times, seen, ahead, weighing, .. } = run(&drawn)?;
        let rest: Vec<f64> = powers.iter().map(|power| 1.0 - power).collect();
        let (logs, _) = tempered(&weighing.sources, &rest, MIN_LEFT, count);
        cooks = Cooks { ensemble: Weighted::new(times, weights(&logs, 1.0)), drawn, seen, ahead };
    }
    if let Some(firm_s) = found_firm_s(case, &evidence).filter(|_| count > 1) {
        let (left, contradicts) = cooks.still_firm(first, firm_s);
        (cooks, surprising) = (left, surprising || contradicts);
    }
    if count > 1 {
        as_the_band_moved(&mut moved, half_of(&cooks.ensemble).zip(half_before).map(|(is, was)| is - was));
    }
    let tenderness = cooks.tenderness();
    let ahead = cooks.stand(ahead_s, look_s);
    let Cooks { ensemble, drawn, .. } = cooks;
    Ok(Update { ensemble, drawn, effective, redrawn, tenderness, surprising, moved, before_latest_s, ahead })
}

/// When a fork last found it too firm, s: what it finds so is not tender, whatever else was read.
fn found_firm_s(case: &ResolvedDish, evidence: &[Evidence]) -> Option<f64> {
    let eaten_as = case.main().eaten_as;
    let firm = evidence.iter().filter_map(|found| match found {
        Evidence::Check { at_s, found } if !found.is_enough_for(eaten_as) => Some(*at_s),
        _ => None,
    });
    firm.reduce(f64::max)
}

/// The moments at which cooks are looked at, in time order, each with what it is for: the findings, a look, what is ahead.
struct Moments {
    at_s: Vec<f64>,
    places: Vec<usize>,
    findings: usize,
    looks: usize,
}

/// What came of a run: the cooks' times, what they showed at the look, ahead, and where something was found.
struct RanTimes {
    times: Vec<Times>,
    seen: Option<Vec<Sample>>,
    ahead: Vec<Vec<Sample>>,
    samples: Vec<Vec<Sample>>,
    weighing: Weighing,
}

impl Moments {
    fn of(evidence: &[Evidence], look_s: Option<f64>, ahead_s: &[f64]) -> Self {
        let wanted = evidence.iter().map(Evidence::at_s).chain(look_s).chain(ahead_s.iter().copied());
        let mut moments: Vec<(f64, usize)> = wanted.zip(0..).collect();
        moments.sort_by(|a, b| a.0.total_cmp(&b.0));
        let (at_s, places) = moments.into_iter().unzip();
        Self { at_s, places, findings: evidence.len(), looks: usize::from(look_s.is_some()) }
    }

    fn run(&self, physics: &physics::Case, drawn: &Drawn, evidence: &[Evidence], how: &How) -> Result<RanTimes> {
        let (times, taken) = match self.at_s.is_empty() {
            true => (run_all(physics, drawn, how)?, Vec::new()),
            false => run_all_sampled(physics, drawn, &self.at_s, how)?,
        };
        let mut samples = vec![Vec::new(); taken.len()];
        for (samples_then, place) in taken.into_iter().zip(&self.places) {
            samples[*place] = samples_then;
        }
        let ahead = samples.split_off(samples.len().min(self.findings + self.looks));
        let seen = samples.split_off(samples.len().min(self.findings)).pop();
        let weighing = weigh(evidence, &samples, drawn.members.len());
        Ok(RanTimes { times, seen, ahead, samples, weighing })
    }
}

/// Cooks with their weights, and what they show at the look and ahead.
#[derive(Clone)]
struct Cooks {
    ensemble: Weighted,
    drawn: Drawn,
    seen: Option<Vec<Sample>>,
    ahead: Vec<Vec<Sample>>,
}

impl Cooks {
    /// Those that were still firm then. Where the findings contradict each other, which is told, those of the `first` cooks, as they
    /// were before all of it.
    fn still_firm(self, first: Self, firm_s: f64) -> (Self, bool) {
        if let Some(weights) = still_firm(&self.ensemble.times, &self.ensemble.weights, firm_s) {
            return (Self { ensemble: Weighted::new(self.ensemble.times, weights), ..self }, false);
        }
        let count = first.drawn.members.len();
        let even = vec![1.0 / count as f64; count];
        match still_firm(&first.ensemble.times, &even, firm_s) {
            Some(weights) => (Self { ensemble: Weighted::new(first.ensemble.times, weights), ..first }, true),
            None => (self, true),
        }
    }

    /// How tender it is at the look: P10, P50, P90.
    fn tenderness(&self) -> Option<[f64; 3]> {
        let values: Vec<f64> = self.seen.as_ref()?.iter().map(|sample| sample.tenderness).collect();
        let at = |p| quantile(&values, &self.ensemble.weights, p);
        Some([at(0.1)?, at(0.5)?, at(0.9)?])
    }

    /// How they stand at each of the moments ahead; what is past is looked at no more.
    fn stand(&self, ahead_s: &[f64], look_s: Option<f64>) -> Vec<Ahead> {
        let order = in_order(&self.ensemble.ready_s);
        let stood = |(at_s, samples): (&f64, &Vec<Sample>)| {
            let to_come = look_s.is_none_or(|look_s| *at_s > look_s);
            let width_s = if to_come { width_after_a_look_s(samples, &self.ensemble, &order) } else { None };
            Ahead { width_s, ..stood_at(*at_s, samples, &self.ensemble) }
        };
        ahead_s.par_iter().zip(&self.ahead).map(stood).collect()
    }
}

/// What all sources say together.
fn summed(sources: &[Vec<f64>], members: usize) -> Vec<f64> {
    let mut logs = vec![0.0; members];
    sources.iter().for_each(|source| logs.iter_mut().zip(source).for_each(|(sum, log)| *sum += log));
    logs
}

/// The case's ensemble, and how tender each cook's meat is at a time after it met the heat, on the scale of slice to spoon.
///
/// # Errors
/// Nobody waits for it any more.
pub fn softness_at(case: &ResolvedDish, at_s: f64) -> Result<(Weighted, Vec<f64>)> {
    let (times, samples) = run_all_sampled(&case.physics(), &case.drawn(), &[at_s], &case.how)?;
    let weights = vec![1.0; times.len()];
    Ok((Weighted::new(times, weights), samples[0].iter().map(|sample| sample.tenderness).collect()))
}

#[cfg(test)]
mod tests {
    use super::super::evidence::{MAX_OTHERS, MAX_READINGS, READING_SIGMA_K};
    use super::*;
    use crate::forecast::ForecastRequest;
    use crate::tender::Check;
    use crate::ways::Method;
    use ergastic_physics::HORIZON_S;

    fn request() -> ForecastRequest {
        ForecastRequest {
            cut: Some(crate::cuts::Cut::Shin),
            mass_kg: Some(1.9),
            method: Some(Method::Braise),
            members: Some(600),
            ..Default::default()
        }
    }

    fn case() -> ResolvedDish {
        request().resolve().unwrap()
    }

    fn p50(update: &Update) -> f64 {
        quantile(&update.ensemble.ready_s, &update.ensemble.weights, 0.5).unwrap() / 3600.0
    }

    fn width(update: &Update) -> f64 {
        let q = |p| quantile(&update.ensemble.ready_s, &update.ensemble.weights, p).unwrap();
        (q(0.9) - q(0.1)) / 3600.0
    }

    #[test]
    fn a_firm_check_late_on_moves_the_band_later_and_a_soft_one_sooner() {
        let case = case();
        let before = update(&case, &[], None).unwrap();
        let at_s = p50(&before) * 3600.0 * 0.9;
        let firm = update(&case, &[Evidence::Check { at_s, found: Check::Firm }], None).unwrap();
        let soft = update(&case, &[Evidence::Check { at_s, found: Check::Probe }], None).unwrap();
        assert!(p50(&firm) > p50(&before) + 0.1, "{} against {}", p50(&firm), p50(&before));
        assert!(p50(&soft) < p50(&before) - 0.1, "{} against {}", p50(&soft), p50(&before));
        assert!(width(&soft) < width(&before));
    }

    #[test]
    fn a_slow_middle_moves_the_band_later_and_a_wild_reading_is_called_surprising() {
        let case = case();
        let before = update(&case, &[], None).unwrap();
        let slow = update(&case, &[Evidence::Reading { at_s: 3600.0, celsius: 48.0 }], None).unwrap();
        let fast = update(&case, &[Evidence::Reading { at_s: 3600.0, celsius: 80.0 }], None).unwrap();
        assert!(p50(&slow) > p50(&fast));
        let wild = update(&case, &[Evidence::Reading { at_s: 3600.0, celsius: 140.0 }], None).unwrap();
        assert!(wild.surprising && p50(&wild).is_finite());
        assert!(before.effective > 599.0);
    }

    #[test]
    fn a_pot_that_lost_more_than_foretold_has_a_looser_lid_and_a_hotter_oven() {
        let case = case();
        let dial = |update: &Update| {
            let of = |f: &dyn Fn(usize) -> f64| {
                (0..update.drawn.members.len()).map(|i| update.ensemble.weights[i] * f(i)).sum::<f64>()
            };
            of(&|i| update.drawn.members[i].oven_k)
        };
        let before = update(&case, &[], None).unwrap();
        let lighter = update(&case, &[Evidence::Weighing { at_s: 7200.0, lost_kg: 0.9 }], None).unwrap();
        let lower = update(&case, &[Evidence::Dip { at_s: 7200.0, liquid_l: 0.2 }], None).unwrap();
        assert!(dial(&lighter) > dial(&before) + 3.0 && dial(&lower) > dial(&before) + 1.0);
    }

    #[test]
    fn many_findings_thin_the_cooks_and_new_ones_are_drawn_around_those_left() {
        let case = case();
        // What a thermometer would say of a cook that goes as the median one does.
        let median = crate::forecast::forecast(&ForecastRequest { members: Some(1), ..request() }).unwrap();
        let findings: Vec<_> = (median.curve.iter())
            .filter(|point| point.min >= 10.0 && point.min <= 120.0)
            .map(|point| Evidence::Reading { at_s: point.min * 60.0, celsius: point.core_c })
            .collect();
        let after = update(&case, &findings, Some(7200.0)).unwrap();
        assert!(after.redrawn && after.effective < 180.0, "{}", after.effective);
        assert!(width(&after) > 0.3 && width(&after) < width(&update(&case, &[], None).unwrap()), "{}", width(&after));
        let distinct: std::collections::BTreeSet<u64> =
            after.drawn.members.iter().map(|member| member.coefficient.to_bits()).collect();
        assert!(distinct.len() > 590);
    }

    /// A cook as one of another ensemble, and what a thermometer says of it every minute.
    fn readings_of(truth: &Drawn, case: &ResolvedDish, count: usize, noise_k: f64, seed: u64) -> (f64, Vec<Evidence>) {
        use rand::{RngExt, SeedableRng};
        use rand_distr::StandardNormal;
        let at_s: Vec<f64> = (1..=count).map(|minute| minute as f64 * 60.0).collect();
        let (times, samples) = run_all_sampled(&case.physics(), truth, &at_s, &case.how).unwrap();
        let mut random = rand_chacha::ChaCha8Rng::seed_from_u64(seed);
        let mut noise = || noise_k * random.sample::<f64, _>(StandardNormal);
        let found = at_s
            .iter()
            .zip(&samples)
            .map(|(at_s, samples)| Evidence::Reading { at_s: *at_s, celsius: samples[0].probe_c + noise() });
        (times[0].ready_s, found.collect())
    }

    fn one_of(case: &ResolvedDish, seed: u64) -> Drawn {
        let all = ResolvedDish { seed, ..case.clone() }.drawn();
        Drawn { members: vec![all.members[0]], pieces: all.pieces.iter().map(|part| vec![part[0]]).collect() }
    }

    #[test]
    fn a_noisy_thermometer_leaves_a_band_and_a_chance_however_long_it_is_read() {
        let case = case();
        for count in [100, 160, 188, 400] {
            let (_, found) = readings_of(&one_of(&case, 77), &case, count, 8.0, count as u64);
            let after = update(&case, &found, Some(3600.0)).unwrap();
            assert!(width(&after) > 0.2, "{count}: {}", width(&after));
            assert!(after.ensemble.weights.iter().all(|weight| weight.is_finite()), "{count}");
            let left = after.ensemble.effective();
            assert!(after.tenderness.is_some() && left >= 59.0, "{count}: {left}");
        }
    }

    #[test]
    fn after_two_hundred_readings_the_band_still_holds_four_cooks_in_five() {
        const COOKS: u64 = 250;
        let case = ResolvedDish { members: 500, ..case() };
        let held = (0..COOKS).filter(|cook| {
            let (ready_s, found) = readings_of(&one_of(&case, 1000 + cook), &case, 200, READING_SIGMA_K, *cook);
            let after = update(&case, &found, None).unwrap();
            let at = |p| quantile(&after.ensemble.ready_s, &after.ensemble.weights, p).unwrap();
            (at(0.1)..=at(0.9)).contains(&ready_s)
        });
        let share = held.count() as f64 / COOKS as f64;
        assert!((0.74..=0.86).contains(&share), "{share}");
    }

    #[test]
    fn what_was_found_for_a_week_is_two_hundred_findings_of_the_cook_that_is_followed() {
        let many: Vec<Evidence> = (0..7 * 24 * 60)
            .flat_map(|i| {
                let at_s = f64::from(i) * 60.0;
                [Evidence::Reading { at_s, celsius: 60.0 }, Evidence::Dip { at_s, liquid_l: 1.0 }]
            })
            .collect();
        let gathered = gathered(&many);
        assert!(gathered.len() <= MAX_READINGS as usize + 1 + MAX_OTHERS, "{}", gathered.len());
        assert!(gathered.iter().all(|found| found.at_s() <= HORIZON_S));
        assert!(gathered.windows(2).all(|pair| pair[0].at_s() <= pair[1].at_s()));
        // One wild value among those close to each other is not heard.
        let wild = [60.0, 61.0, 200.0].map(|celsius| Evidence::Reading { at_s: celsius, celsius });
        assert_eq!(super::gathered(&wild), [Evidence::Reading { at_s: 61.0, celsius: 61.0 }]);
    }
}
