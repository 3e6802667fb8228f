//! What would meet the bell when the plan as it stands does not.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::{Durations, Worked};
use crate::clock::{minutes_between, plus_minutes};
use crate::forecast::{ForecastRequest, Heat, HeatSource, Medium, Method};
use crate::heat::conduction::DENSITY;
use crate::heat::pot::Simmer;
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::prepare::Sear;
use crate::tender::EatenAs;

/// Something that could be changed, and where that leads.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Remedy {
    /// What to change.
    pub text: String,
    /// What it costs.
    pub trade: String,
    /// Plates on the table at the plan's certainty.
    pub plates_at: Timestamp,
    /// Whether that meets the bell.
    pub meets_bell: bool,
    /// The plan with the change made.
    pub plan: Plan,
}

/// Candidates really forecast, soonest first; those that do not help are left out.
pub fn remedies(plan: &Plan, kitchen: &Kitchen, now: Timestamp) -> Vec<Remedy> {
    let Some(as_is) = plates_at(plan, kitchen, now) else { return Vec::new() };
    let mut found: Vec<Remedy> = candidates(plan, kitchen)
        .into_iter()
        .filter_map(|(text, trade, changed)| {
            let plates_at = plates_at(&changed, kitchen, now)?;
            let helps = minutes_between(plates_at, as_is) >= 10.0;
            helps.then(|| Remedy { text, trade, plates_at, meets_bell: plates_at <= plan.bell, plan: changed })
        })
        .collect();
    found.sort_by_key(|remedy| remedy.plates_at);
    // A quarter of an hour with some minutes to spare: it must still hold once it has been read and decided.
    let later_bell = super::ceil_minutes(plus_minutes(as_is, 10.0), 15);
    found.push(Remedy {
        text: "Ring the bell later".into(),
        trade: "everyone waits, the dish stays as it is".into(),
        plates_at: later_bell,
        meets_bell: false,
        plan: Plan { bell: later_bell, ..plan.clone() },
    });
    found
}

/// Plates on the table if it starts now, at the plan's certainty: as the sheet itself works it out.
fn plates_at(plan: &Plan, kitchen: &Kitchen, now: Timestamp) -> Option<Timestamp> {
    let worked = Worked::new(plan, kitchen, &[], None).ok()?;
    let ready = worked.ready_min(plan.certainty(kitchen))?;
    let durations: &Durations = &worked.durations;
    let met_heat = super::ceil_minutes(plus_minutes(now, durations.soonest_min()), 5);
    Some(plus_minutes(met_heat, ready + durations.finishing_min()))
}

fn candidates(plan: &Plan, kitchen: &Kitchen) -> Vec<(String, String, Plan)> {
    let Ok(case) = plan.resolve(kitchen) else { return Vec::new() };
    let with = |change: &dyn Fn(&mut Plan)| {
        let mut changed = plan.clone();
        change(&mut changed);
        changed
    };
    let pieces = |forecast: &mut ForecastRequest, count: u32, side: f64| {
        forecast.pieces = Some(count);
        forecast.size_mm = Some([side; 3]);
        forecast.thickness_mm = None;
    };
    let mut candidates = Vec::new();
    if case.main().sides_m[0] > 0.05 && case.first().medium.is_pot() && case.stages.len() == 1 && case.parts.len() == 1
    {
        let count = ((case.mass_kg / (DENSITY * 0.04_f64.powi(3))).round() as u32).clamp(1, 500);
        let cubes = with(&|plan| {
            pieces(&mut plan.forecast, count, 40.0);
            if plan.forecast.method == Some(Method::Braise) {
                plan.forecast.method = Some(Method::Stew);
            }
            if plan.forecast.eaten_as.is_none_or(|eaten| eaten == EatenAs::Slice) {
                plan.forecast.eaten_as = Some(EatenAs::Fork);
            }
        });
        candidates.push(("Cut it into 4 cm cubes".into(), "no slices; more batches to sear".into(), cubes));
    }
    match case.first().medium {
        Medium::Oven { set_c, .. } if set_c < 155.0 => {
            let hotter = with(&|plan| {
                plan.forecast.heat =
                    Some(Heat { source: Some(HeatSource::Oven), set_c: Some(170.0), ..Heat::default() })
            });
            candidates.push((
                "Turn the oven to 170 °C".into(),
                "much more water leaves: top up and watch it".into(),
                hotter,
            ));
        }
        Medium::Hob { simmer } if simmer != Simmer::Brisk && simmer != Simmer::Boil => {
            let brisk = with(&|plan| {
                plan.forecast.heat =
                    Some(Heat { source: Some(HeatSource::Hob), simmer: Some(Simmer::Brisk), ..Heat::default() })
            });
            candidates.push((
                "Keep a brisker simmer, small bubbles all over".into(),
                "more water leaves, and pieces break up sooner".into(),
                brisk,
            ));
        }
        _ => {}
    }
    let firmer = match case.main().eaten_as {
        EatenAs::Spoon | EatenAs::Pull => Some((EatenAs::Fork, "Serve it in forkable chunks")),
        EatenAs::Fork | EatenAs::Probe => Some((EatenAs::Slice, "Serve it in slices")),
        EatenAs::Slice => None,
    };
    if let Some((eaten_as, text)) = firmer {
        let sooner = with(&|plan| plan.forecast.eaten_as = Some(eaten_as));
        candidates.push((text.into(), format!("firmer than \"{}\"", case.main().eaten_as.word()), sooner));
    }
    if plan.prepare.sear != Sear::None && case.first().medium.is_pot() {
        let raw = with(&|plan| plan.prepare.sear = Sear::None);
        candidates.push(("Skip the sear".into(), "paler, and less of the roasted flavour".into(), raw));
    }
    candidates
}
