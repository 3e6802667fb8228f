//! One method, or a chain of them.

use super::super::request::ForecastRequest;
use super::case::ResolvedStage;
use ergastic_physics::case::End;
use ergastic_words::errors as say;

use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::heat::pot::{Lid, PotMeasures};
use crate::ways::pressure::Pressure;
use crate::ways::{ByHand, Cooling, Fill, Heat, Method, Set, Site, StageRequest, StandsIn, Until, WayId};
use ergastic_physics::units::MINUTE_S;

/// Most stages of a chain.
const MAX_STAGES: usize = 12;
/// The same with all that is changed by hand while it goes.
const MAX_CHANGED: usize = 100;

impl ForecastRequest {
    /// The way of the first stage.
    pub(super) fn first_method(&self) -> Result<Method> {
        match &self.stages {
            None => self.method.ok_or_else(|| Error::missing("method", say::name_a_way())),
            Some(stages) if stages.is_empty() || stages.len() > most_of(stages) => {
                Err(Error::new(WhatIsWrong::OutOfRange, "stages", stages.len(), say::so_many(1, MAX_STAGES as u32)))
            }
            Some(_) if self.method.is_some() => {
                Err(Error::said(WhatIsWrong::Clash, "method", say::beside_stages(), say::stands_in_each_stage()))
            }
            Some(_) if self.heat.is_some() => {
                Err(Error::said(WhatIsWrong::Clash, "heat", say::beside_stages(), say::stands_in_each_stage()))
            }
            Some(stages) => {
                stages[0].method.ok_or_else(|| Error::missing("stages[0].method", say::first_stage_names_its_way()))
            }
        }
    }

    /// The first way that cooks in a pot or crock.
    pub(crate) fn pot_method(&self) -> Option<Method> {
        let is_pot = |method: &Method| method.usual().facts().is_pot;
        match &self.stages {
            None => self.method.filter(is_pot),
            Some(stages) => stages.iter().filter_map(|stage| stage.method).find(is_pot),
        }
    }

    /// Whether it cooks in the pot of the kitchen, and not in a pressure pot, crock, bag or on a grate.
    pub(crate) fn stands_in_the_kitchens_pot(&self) -> bool {
        let in_pot = |method: Method| method.usual().facts().stands_in == StandsIn::Pot;
        let under_fat = |method: Method| in_pot(method) && !method.usual().facts().is_pot;
        let methods = self.method.into_iter().chain(self.stages.iter().flatten().filter_map(|stage| stage.method));
        methods.into_iter().any(under_fat) || self.pot_method().is_some_and(in_pot)
    }

    /// Every stage with its medium, cover and end.
    pub(super) fn resolve_stages(
        &self,
        vessel: &PotMeasures,
        pressure_pa: f64,
        boil_c: f64,
        fill: &mut Fill,
    ) -> Result<Vec<ResolvedStage>> {
        let pot = vessel.resolve(Lid::Tight).map_err(|error| error.within("vessel"))?;
        let across_m = vessel.across_m();
        let resolve = |method: Method, heat: &Heat, own: Option<Lid>, cooled: Option<Cooling>, fill: &mut Fill| {
            let stands_on_a_hob = vessel.stands_on_a_hob();
            let place = Site { pot: &pot, stands_on_a_hob, across_m, pressure_pa, boil_c, cooled };
            let medium = heat.set(method, &place, fill)?;
            let lid = lid_for(&medium, own, vessel)?;
            Ok::<_, Error>((medium, crate::heat::pot::Pot { lid, ..pot }))
        };
        let Some(requests) = &self.stages else {
            let method = self.first_method()?;
            let (medium, pot) = resolve(method, &self.heat.clone().unwrap_or_default(), None, None, fill)?;
            let end = medium.way().ends().unwrap_or(End::Stays);
            return Ok(vec![ResolvedStage { method, medium, pot, end, by_hand: ByHand::default() }]);
        };
        let mut stages: Vec<ResolvedStage> = Vec::with_capacity(requests.len());
        let mut heat = Heat::default();
        for (i, request) in requests.iter().enumerate() {
            let here = format!("stages[{i}]");
            fill.path = format!("{here}.");
            let before = stages.last();
            let method = request.method.or(before.map(|stage| stage.method)).unwrap_or(Method::Braise);
            let goes_on = before.is_some_and(|stage| stage.method == method);
            heat = match &request.heat {
                Some(given) => given.clone(),
                None if goes_on => heat,
                None => Heat::default(),
            };
            // A lid, too, stays as it was while the way goes on.
            let lid = request.lid.or(before.filter(|_| goes_on).map(|stage| stage.pot.lid));
            let last = i + 1 == requests.len();
            let stage = resolve(method, &heat, lid, before.map(|stage| stage.medium.way().cooled()), fill)
                .and_then(|(medium, pot)| {
                    let (medium, end) = request.end(medium, last)?;
                    let by_hand = request.by_hand;
                    let medium = if by_hand.off { medium.went_out() } else { medium };
                    Ok(ResolvedStage { method, medium, pot, end, by_hand })
                })
                .map_err(|error| if error.field.starts_with("vessel") { error } else { error.within(&here) })?;
            stages.push(stage);
        }
        fill.path.clear();
        Ok(stages)
    }
}

/// The cover of a stage: its own, the vessel's, or the usual one.
fn lid_for(medium: &Set, own: Option<Lid>, vessel: &PotMeasures) -> Result<Lid> {
    if medium.facts().locked {
        let field = if own.is_some() { "lid" } else { "vessel.lid" };
        return match own.or(vessel.lid) {
            None | Some(Lid::Tight) => Ok(Lid::Tight),
            Some(other) => Err(Error::said(WhatIsWrong::Clash, field, other.words(), say::pressure_lid())),
        };
    }
    Ok(own.or(vessel.lid).unwrap_or_else(|| medium.facts().lid))
}

fn most_of(stages: &[StageRequest]) -> usize {
    if stages.iter().any(|stage| stage.by_hand.changed) { MAX_CHANGED } else { MAX_STAGES }
}

impl StageRequest {
    /// When the stage ends, with what that means for a pressure pot's time.
    fn end(&self, medium: Set, last: bool) -> Result<(Set, End)> {
        let Some(until) = &self.until else {
            let end = medium
                .way()
                .ends()
                .or(last.then_some(End::Stays))
                .ok_or_else(|| Error::missing("until", say::stage_ends()))?;
            return Ok((medium, end));
        };
        let end = until.resolve(medium.id() == WayId::Chill)?;
        if let Some(pot) = medium.get::<Pressure>().filter(|pot| pot.hold_s.is_none()) {
            let held = |hold_s| Set::Pressure(Pressure { hold_s, ..*pot });
            return Ok(match end {
                // "35 min at high pressure" is time at pressure; the release comes after it.
                End::After(hold_s) => (held(Some(hold_s)), End::Opened),
                // Tender is what the time at pressure is solved for.
                End::Tender => (medium, End::Opened),
                end => (held(Some(f64::INFINITY)), end),
            });
        }
        match (medium, end) {
            (medium, End::Tender) if medium.id() == WayId::Chill => {
                Err(Error::new(WhatIsWrong::Unsuitable, "until.tender", true, say::nothing_tender_in_the_cold()))
            }
            // The heat simply stays on after the last: what comes then is "too far".
            (_, End::Tender) if last => Ok((medium, End::Stays)),
            (_, end) => Ok((medium, end)),
        }
    }
}

impl Until {
    fn resolve(&self, cooling: bool) -> Result<End> {
        match (self.min, self.core_c, self.tender) {
            (Some(minutes), None, None) => {
                Ok(End::After(in_range("until.min", minutes, 0.0, 4320.0, Unit::Minutes)? * MINUTE_S))
            }
            (None, Some(core_c), None) => {
                let core_c = in_range("until.core_c", core_c, -5.0, 125.0, Unit::Celsius)?;
                Ok(if cooling { End::Cold(core_c) } else { End::Warm(core_c) })
            }
            (None, None, Some(true)) => Ok(End::Tender),
            (None, None, Some(false)) => {
                Err(Error::new(WhatIsWrong::OutOfRange, "until.tender", false, say::must_be_true()))
            }
            (None, None, None) => Err(Error::missing("until", say::one_end())),
            _ => Err(Error::said(WhatIsWrong::Clash, "until", say::more_than_one_end(), say::one_end())),
        }
    }
}
