//! What a closed cook has taught of this kitchen: its oven, pot, pit and butcher.
//!
//! The cooks that foretold what was found keep their weight; how they differ from what was believed beforehand is what was
//! learned. It goes into the next forecast as `known`.

use ergastic_words::{Difference, Message, Percent, log};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::cuts::RESISTANCE_LN_SIGMA;
use crate::forecast::{Belief, Known, ResolvedDish, Update};
use crate::ways::{Set, Unknown};
use ergastic_physics::units::round_to;

/// A belief is worth telling when it has narrowed to this share of what it was.
const NARROWED: f64 = 0.9;
/// Ovens and lids are not the same every day: this share of the usual spread comes back before the next cook. Working value.
const DRIFT: f64 = 0.3;
/// Share of the spread between animals that is the butcher's rather than the animal's own. Working value.
const BUTCHER: f64 = 0.3;

/// What was learned.
#[derive(Debug, Clone, Default, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Learned {
    /// Beliefs for the next forecast's `known`.
    pub known: Known,
    /// The same in sentences; none where nothing was learned.
    pub words: Vec<String>,
}

/// What an update has taught, given what was believed before it.
pub fn learned(case: &ResolvedDish, update: &Update) -> Learned {
    let weights = &update.ensemble.weights;
    let members = &update.drawn.members;
    let posterior = |of: &dyn Fn(usize) -> f64| {
        let mean = (0..members.len()).map(|i| weights[i] * of(i)).sum::<f64>();
        let variance = (0..members.len()).map(|i| weights[i] * (of(i) - mean).powi(2)).sum::<f64>();
        Belief { mean, sigma: variance.sqrt() }
    };
    let before = of_the_kitchen(&case.known);
    let usual = of_the_kitchen(&Known::default());
    let media = || case.stages.iter().map(|stage| &stage.medium);
    let mut words = Vec::new();
    let mut kitchen = |used: bool, of: &dyn Fn(usize) -> f64, fact: usize, tell: &dyn Fn(Belief) -> Message| {
        let after = posterior(of);
        if !used || !teaches(&after, &before[fact]) {
            return None;
        }
        words.push(tell(after));
        Some(Belief { mean: after.mean, sigma: after.sigma.hypot(DRIFT * usual[fact].sigma) })
    };
    let known = Known {
        oven_k: kitchen(
            media().any(|medium| medium.facts().unknown == Unknown::Oven),
            &|i| members[i].oven_k,
            0,
            &|belief| beside(belief, log::oven_true, log::oven_true_under, log::oven_true_over),
        ),
        pot_k: kitchen(media().any(Set::is_pot), &|i| members[i].pot_k, 1, &|belief| {
            beside(belief, log::simmer_true, log::simmer_true_under, log::simmer_true_over)
        }),
        pit_k: kitchen(
            media().any(|medium| medium.facts().unknown == Unknown::Pit),
            &|i| members[i].pit_k,
            2,
            &|belief| beside(belief, log::pit_true, log::pit_true_under, log::pit_true_over),
        ),
        lid_ln: kitchen(media().any(Set::is_pot), &|i| members[i].lid.ln(), 3, &|belief| match round_to(
            belief.mean.exp(),
            0.1,
        ) {
            usual if (0.95..1.05).contains(&usual) => log::lid_usual(),
            times => log::lid_lets_by(times),
        }),
        toughness_ln: butcher(case, &posterior(&|i| update.drawn.pieces[0][i].toughness.ln()), &mut words),
    };
    Learned { known, words: words.into_iter().map(|said| case.voice.render(said)).collect() }
}

/// How something runs beside what it says.
fn beside(
    belief: Belief,
    true_to_it: fn(Difference) -> Message,
    under: fn(Difference) -> Message,
    over: fn(Difference) -> Message,
) -> Message {
    let give = Difference(belief.sigma);
    if belief.mean.abs() < 0.5 {
        return true_to_it(give);
    }
    let off = Difference(belief.mean.abs());
    log::give_or_take(if belief.mean < 0.0 { under(off) } else { over(off) }, give)
}

/// What is believed of oven, pot, pit and lid.
fn of_the_kitchen(known: &Known) -> [Belief; 4] {
    let beliefs = known.beliefs();
    [beliefs.oven_k, beliefs.pot_k, beliefs.pit_k, beliefs.lid_ln].map(Belief::from)
}

/// Whether a belief has changed enough to be told: narrowed, or moved by half its old spread.
fn teaches(after: &Belief, before: &Belief) -> bool {
    after.sigma <= NARROWED * before.sigma || (after.mean - before.mean).abs() > 0.5 * before.sigma
}

/// How tough this butcher's meat is: an animal says a little of the next one.
fn butcher(case: &ResolvedDish, animal: &Belief, words: &mut Vec<Message>) -> Option<Belief> {
    let spread = case.main().facts.toughness_ln_sigma.max(RESISTANCE_LN_SIGMA);
    let before = case.known.toughness_ln.unwrap_or(Belief { mean: 0.0, sigma: spread });
    if !teaches(animal, &before) {
        return None;
    }
    let moved = animal.mean - before.mean;
    let by = Percent((animal.mean.exp() - 1.0).abs());
    words.push(match animal.mean {
        mean if mean.abs() < 0.05 => log::animal_usual(),
        mean if mean > 0.0 => log::animal_tougher(by),
        _ => log::animal_softer(by),
    });
    // The next animal still differs: only the butcher's share of what was learned is kept.
    let own = spread * (1.0 - BUTCHER * (1.0 - (animal.sigma / before.sigma).powi(2))).sqrt();
    Some(Belief { mean: before.mean + BUTCHER * moved, sigma: f64::min(before.sigma, own) })
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::forecast::{Evidence, ForecastRequest, forecast, update};
    use crate::tender::Check;
    use crate::ways::Method;

    fn request(known: Option<Known>) -> ForecastRequest {
        ForecastRequest {
            cut: Some(crate::cuts::Cut::Chuck),
            mass_kg: Some(1.8),
            method: Some(Method::Braise),
            members: Some(800),
            known,
            ..Default::default()
        }
    }

    #[test]
    fn a_pot_that_lost_much_teaches_of_oven_and_lid_and_the_next_forecast_knows() {
        let case = request(None).resolve().unwrap();
        let thirsty = [Evidence::Weighing { at_s: 7200.0, lost_kg: 0.85 }];
        let taught = learned(&case, &update(&case, &thirsty, None).unwrap());
        let oven = taught.known.oven_k.expect("the oven shows in what leaves the pot");
        assert!(oven.mean > 2.0 && oven.sigma < 7.0, "{oven:?}");
        assert!(taught.words.iter().any(|words| words.contains("over what it says")), "{:?}", taught.words);
        let left = |known| forecast(&request(known)).unwrap().liquid_left_l.unwrap();
        assert!(left(Some(taught.known)) < left(None) - 0.02);
        assert_eq!(
            learned(&case, &update(&case, &[], None).unwrap()),
            Learned::default(),
            "nothing found, nothing learned"
        );
    }

    #[test]
    fn a_kitchen_that_is_known_well_still_drifts_by_a_share_of_the_usual_spread() {
        let sure = Known { oven_k: Some(Belief { mean: 6.0, sigma: 2.0 }), ..Known::default() };
        let case = request(Some(sure)).resolve().unwrap();
        let thirsty = [Evidence::Weighing { at_s: 7200.0, lost_kg: 0.95 }];
        let oven = learned(&case, &update(&case, &thirsty, None).unwrap()).known.oven_k;
        let sigma = oven.map_or(f64::NAN, |oven| oven.sigma);
        assert!(
            sigma >= DRIFT * 7.0,
            "of the usual 7 K, 0.3 comes back, and not 0.3 of the 2 K it was known by: {sigma}"
        );
    }

    #[test]
    fn a_tough_animal_says_a_little_of_the_butcher() {
        let case = request(None).resolve().unwrap();
        let firm = [Evidence::Check { at_s: 3.4 * 3600.0, found: Check::Firm }];
        let tough = learned(&case, &update(&case, &firm, None).unwrap()).known.toughness_ln.unwrap();
        assert!(tough.mean > 0.02 && tough.mean < 0.2 && tough.sigma <= 0.18, "{tough:?}");
        let ready = |known| forecast(&request(known)).unwrap().ready_min.p50.unwrap();
        assert!(ready(Some(Known { toughness_ln: Some(tough), ..Known::default() })) > ready(None));
    }
}
