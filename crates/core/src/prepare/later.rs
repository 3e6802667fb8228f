//! When what goes in later goes in, and what comes out again.

use ergastic_words::{Join, Message, Voice, larder as say, prepare, sheet};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::bench::{Addition, Larder, Prepare};
use crate::forecast::{Forecast, ResolvedDish};

/// When it goes in.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct LaterAnswer {
    /// What.
    pub what: Addition,
    /// Its name and how it is cut.
    pub name: String,
    /// How much, g.
    pub g: f64,
    /// Minutes to be done in this pot.
    pub done_min: f64,
    /// Minutes to be mush.
    pub mush_min: f64,
    /// In so long before the end.
    pub before_end_min: f64,
    /// In at, minutes from the meat meeting the heat, if the meat is done when it should be.
    pub at_min: f64,
    /// The sign.
    pub words: String,
}

/// Something that has to come out again.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct TakeOut {
    /// What.
    pub what: String,
    /// When, and why.
    pub words: String,
}

/// A root softens 2.5 times slower for each 10 K below 97 °C; below 85 °C it hardly softens at all. Published.
fn slower(medium_c: f64) -> f64 {
    2.5_f64.powf(((97.0 - medium_c) / 10.0).clamp(-2.5, 2.0))
}

/// Minutes until such a thing is done at a temperature.
pub(crate) fn softens_by(what: Addition, celsius: f64) -> f64 {
    let times = what.times();
    times.done_min * if times.softens { slower(celsius) } else { 1.0 }
}

/// What goes in later, first things first; into a pot that is `sealed` only once it is opened.
pub(super) fn later(bench: &Prepare, medium_c: f64, end_min: f64, sealed: bool, voice: Voice) -> Vec<LaterAnswer> {
    let mut found: Vec<_> = (bench.later.iter())
        .map(|thing| {
            let times = thing.what.times();
            let slow = if times.softens { slower(medium_c) } else { 1.0 };
            let done_min = softens_by(thing.what, medium_c);
            LaterAnswer {
                what: thing.what,
                name: voice.render(thing.what.name_and_cut()),
                g: thing.g,
                done_min,
                mush_min: times.mush_min * slow,
                before_end_min: if sealed { 0.0 } else { done_min.ceil() },
                at_min: if sealed { end_min } else { f64::max(0.0, end_min - done_min) },
                words: voice.render(thing.what.sign()),
            }
        })
        .collect();
    found.sort_by(|a, b| a.at_min.total_cmp(&b.at_min));
    found
}

/// What to say of things that would be mush before the meat is surely done.
pub(super) fn waits(forecast: &Forecast, later: &[LaterAnswer]) -> Option<Message> {
    let doubt_min = forecast.ready_min.p90? - forecast.ready_min.p10?;
    let mush: Vec<_> = (later.iter())
        .filter(|thing| thing.mush_min - thing.done_min < 0.5 * doubt_min && thing.done_min > 0.0)
        .map(|thing| thing.what.name())
        .collect();
    (!mush.is_empty()).then(|| prepare::later_waits(Message::list(mush, Join::And)))
}

/// Vegetables that only give their flavour.
const SPENT: [Larder; 3] = [Larder::Onion, Larder::Carrot, Larder::Celery];
/// What only gives its flavour, and comes out again.
const FLAVOURS: [Larder; 8] = [
    Larder::Onion,
    Larder::Carrot,
    Larder::Celery,
    Larder::Garlic,
    Larder::Ginger,
    Larder::WholeSpice,
    Larder::BayLeaf,
    Larder::Thyme,
];

/// When something comes out of the pot again.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) enum ComesOut {
    /// Before it boils.
    BeforeTheBoil,
    /// When it has given its flavour, and before it clouds a broth.
    BeforeItClouds,
    /// As the meat is lifted.
    WithTheMeat,
}

/// When a thing of the larder comes out of such a pot; nothing where it is eaten or has become one with the liquid.
fn comes_out(what: Larder, bench: &Prepare, case: &ResolvedDish) -> Option<ComesOut> {
    let way = case.first().medium.facts();
    let open = way.opens && !way.locked && way.comes_up && case.stages.len() == 1;
    match what {
        Larder::Seaweed if open => Some(ComesOut::BeforeTheBoil),
        _ if FLAVOURS.contains(&what) && bench.clear && open => Some(ComesOut::BeforeItClouds),
        // Garlic is soft by then and is eaten.
        Larder::Garlic => None,
        _ => (what == Larder::Seaweed || FLAVOURS.contains(&what)).then_some(ComesOut::WithTheMeat),
    }
}

/// The things of a bench that come out then.
pub(super) fn coming_out(bench: &Prepare, case: &ResolvedDish, when: ComesOut) -> Vec<Larder> {
    let all = bench.ingredients.iter().map(|thing| thing.what);
    all.filter(|what| comes_out(*what, bench, case) == Some(when)).collect()
}

/// What has to come out before the plate: what, and when and why.
pub(super) fn take_out(bench: &Prepare, case: &ResolvedDish) -> Vec<(Message, Message)> {
    let bones = case.parts.iter().any(|part| part.bone_pct > 0.0);
    let with_the_meat = coming_out(bench, case, ComesOut::WithTheMeat);
    let has = |what: Larder| with_the_meat.contains(&what);
    let out = [
        (bench.strings > 0, say::out_strings(bench.strings), say::out_strings_why()),
        (has(Larder::WholeSpice), say::out_spices(), say::out_spices_why()),
        (has(Larder::BayLeaf), say::out_bay(), say::out_bay_why()),
        (has(Larder::Thyme), say::out_thyme(), say::out_thyme_why()),
        (SPENT.into_iter().any(has), say::out_vegetables(), say::out_vegetables_why()),
        (has(Larder::Ginger), say::out_ginger(), say::out_ginger_why()),
        (has(Larder::Seaweed), say::out_seaweed(), say::out_seaweed_why()),
        (bones, say::out_bones(), say::out_bones_why()),
    ];
    out.into_iter().filter(|(is_in, ..)| *is_in).map(|(_, what, why)| (what, why)).collect()
}

/// What comes out before the meat does: what, and when and why.
fn out_early(bench: &Prepare, case: &ResolvedDish) -> Vec<(Message, Message)> {
    let boil = (ComesOut::BeforeTheBoil, sheet::comes_out_before_the_boil_why());
    let clouds = (ComesOut::BeforeItClouds, sheet::comes_out_before_it_clouds_why());
    let told = |(when, why)| {
        let names: Vec<Message> = coming_out(bench, case, when).into_iter().map(Larder::name).collect();
        (!names.is_empty()).then(|| (Message::list(names, Join::And), why))
    };
    [boil, clouds].into_iter().filter_map(told).collect()
}

fn told(out: Vec<(Message, Message)>, voice: Voice) -> Vec<TakeOut> {
    out.into_iter().map(|(what, why)| TakeOut { what: voice.render(what), words: voice.render(why) }).collect()
}

/// All that comes out, as the answer carries it.
pub(super) fn taken_out(bench: &Prepare, case: &ResolvedDish) -> Vec<TakeOut> {
    told([out_early(bench, case), take_out(bench, case)].concat(), case.voice)
}

/// What comes out as the meat is lifted, as the answer carries it.
pub(super) fn taken_out_at_the_lift(bench: &Prepare, case: &ResolvedDish) -> Vec<TakeOut> {
    told(take_out(bench, case), case.voice)
}

/// Cautions that the additions bring.
pub(super) fn beans_need_boiling(bench: &Prepare) -> bool {
    bench.later.iter().any(|thing| thing.what == Addition::SoakedBeans)
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::bench::Later;

    #[test]
    fn a_slow_pot_softens_roots_slowly_and_warms_beans_as_fast() {
        let bench = Prepare {
            later: vec![Later { what: Addition::Potato, g: 800.0 }, Later { what: Addition::CookedBeans, g: 400.0 }],
            ..Prepare::default()
        };
        let simmer = later(&bench, 97.0, 180.0, false, Voice::default());
        assert_eq!((simmer[0].what, simmer[0].at_min), (Addition::Potato, 160.0));
        let slow = later(&bench, 87.0, 180.0, false, Voice::default());
        assert!((slow[0].done_min - 50.0).abs() < 1e-9 && slow[1].done_min == 10.0);
    }
}
