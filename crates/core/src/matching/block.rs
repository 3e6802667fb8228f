//! What is on the block and around it, checked and filled in.

use std::collections::BTreeMap;

use ergastic_words::{Message, cuts, errors, ways as words};
use jiff::Timestamp;

use super::request::MatchRequest;
use super::served::enough_kg;
use crate::bench::{Prepare, Sear, SearIn};
use crate::clock::{Stretch, comes_twice, instant, merged, minutes_between, plus_minutes, spans, zone};
use crate::cuts::Cut;
use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::finish::{Target, Thickener};
use crate::forecast::{ForecastRequest, ResolvedDish};
use crate::kitchen::{Kitchen, ThingKind};
use crate::plan::{Plan, Uses};
use crate::ways::Method;
use ergastic_physics::places::FREEZER_C;

/// Simulated cooks a variant: spread evenly, so many place P10 and P90 within some 3 %.
const MEMBERS: u32 = 64;

/// What is on the block, when the bell is, and what is free.
#[derive(Clone)]
pub struct MeatToMatch<'a> {
    pub kitchen: &'a Kitchen,
    pub now: Timestamp,
    pub serve_at: Timestamp,
    pub certainty: f64,
    pub people: u32,
    /// Cooked meat on a plate, kg.
    pub portion_kg: f64,
    pub kit: Vec<ThingKind>,
    /// When nobody is up or there.
    pub busy: Vec<Stretch>,
    /// When nobody is up.
    pub asleep: Vec<Stretch>,
    pub prices: BTreeMap<Cut, f64>,
    pub price_per_kg: Option<f64>,
    /// The meat, with neither method nor heat.
    pub meat: ForecastRequest,
    certainty_given: Option<f64>,
    /// Those who eat were counted and the meat was not weighed.
    unweighed_for: Option<u32>,
    /// The serving time falls into the hour that comes twice: the first of the two is taken.
    pub bell_comes_twice: bool,
    /// The mass is enough for so many: nobody weighed it.
    pub enough_for: Option<u32>,
}

/// Things that may be named as free.
const MAX_KIT: usize = 64;

/// What cuts cost, a kilo.
fn prices(request: &MatchRequest, kitchen: &Kitchen) -> Result<BTreeMap<Cut, f64>> {
    if let Some(price) = request.price_per_kg {
        in_range("price_per_kg", price, 0.0, 10_000.0, Unit::None)?;
    }
    let prices = request.prices.clone().unwrap_or_else(|| kitchen.prices.clone());
    for (cut, price) in &prices {
        in_range(&format!("prices.{}", cut.key()), *price, 0.0, 10_000.0, Unit::None)?;
    }
    Ok(prices)
}

/// What is free to cook on.
fn kit(request: &MatchRequest, kitchen: &Kitchen) -> Result<Vec<ThingKind>> {
    let kit = request.kit.clone().unwrap_or_else(|| kitchen.kit());
    match kit.len() {
        0 => Err(Error::missing("kit", errors::something_to_cook_on())),
        many if many > MAX_KIT => {
            Err(Error::new(WhatIsWrong::OutOfRange, "kit", many, errors::at_most(MAX_KIT as u32)))
        }
        _ => match kit.iter().position(|kind| !kind.heats()) {
            Some(at) => Err(Error::new(
                WhatIsWrong::Unsuitable,
                format!("kit[{at}]"),
                kit[at].key(),
                errors::something_to_cook_on(),
            )),
            None => Ok(kit),
        },
    }
}

impl<'a> MeatToMatch<'a> {
    /// Checks a request against a kitchen.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn new(request: &MatchRequest, kitchen: &'a Kitchen, clock: Timestamp) -> Result<Self> {
        let zone = zone("zone", request.zone.as_deref().unwrap_or(&kitchen.zone))?;
        let now = request.now.as_deref().map_or(Ok(clock), |text| instant("now", text, &zone))?;
        let serve_at = request
            .serve_at
            .as_deref()
            .map_or(Ok(plus_minutes(now, 600.0)), |text| instant("serve_at", text, &zone))?;
        in_range("serve_at", minutes_between(now, serve_at) / 1440.0, -1.0, 60.0, Unit::DaysFromNow)?;
        let certainty = in_range("certainty", request.certainty.unwrap_or(kitchen.certainty), 0.5, 0.99, Unit::None)?;
        let people = in_range("people", f64::from(request.people.unwrap_or(4)), 1.0, 200.0, Unit::None)? as u32;
        let served_kg = request.served.unwrap_or_default().portion_kg();
        let portion_g =
            in_range("portion_g", request.portion_g.unwrap_or(served_kg * 1000.0), 40.0, 600.0, Unit::Grams)?;
        let (prices, kit) = (prices(request, kitchen)?, kit(request, kitchen)?);
        let members = request.members.unwrap_or(MEMBERS);
        in_range("members", f64::from(members), 16.0, 1000.0, Unit::None)?;
        let asleep = request.asleep.as_ref().unwrap_or(&kitchen.asleep);
        let away = request.away.as_deref().unwrap_or_default();
        // A long way may have to start days before the bell.
        let (from, to) = (plus_minutes(now.min(serve_at), -4.0 * 1440.0), plus_minutes(serve_at.max(now), 1440.0));
        let asleep_spans = spans("asleep", asleep, from, to, &zone)?;
        let mut busy = spans("away", away, from, to, &zone)?;
        busy.extend(&asleep_spans);
        let busy = merged(busy);
        let meat = ForecastRequest {
            start_c: request.start_c.or((request.frozen == Some(true)).then_some(FREEZER_C)),
            parts: request.parts.clone(),
            members: Some(members),
            seed: request.seed,
            units: Some(kitchen.units),
            food_code: Some(kitchen.food_code),
            how: kitchen.how.clone(),
            ..Default::default()
        };
        Ok(Self {
            kitchen,
            now,
            serve_at,
            certainty,
            people,
            portion_kg: portion_g / 1000.0,
            kit,
            busy,
            asleep: asleep_spans,
            prices,
            price_per_kg: request.price_per_kg,
            meat: meat.with_meat(request.meat()),
            certainty_given: request.certainty,
            unweighed_for: request.people.filter(|_| request.mass_kg.is_none() && request.pieces.is_none()),
            bell_comes_twice: request.serve_at.as_ref().is_some_and(|text| comes_twice(text, &zone)),
            enough_for: None,
        })
    }

    /// The meat as it lies there: its parts, masses and sides.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn lies(&mut self) -> Result<ResolvedDish> {
        // A bag takes any amount: how much a vessel takes is each way's own matter.
        let in_a_bag =
            |meat: &ForecastRequest| ForecastRequest { method: Some(Method::WaterBath), ..meat.clone() }.resolve();
        let mut lies = in_a_bag(&self.meat)?;
        let wanted_kg = |people: u32| enough_kg(lies.main().facts, people, self.portion_kg);
        let more = self.unweighed_for.map(|people| (people, wanted_kg(people))).filter(|(_, kg)| *kg > lies.mass_kg);
        if let Some((people, kg)) = more.filter(|_| self.meat.parts.is_none()) {
            // A usual piece is not enough for them.
            (self.meat.mass_kg, self.enough_for) = (Some(f64::min(kg, 40.0)), Some(people));
            lies = in_a_bag(&self.meat)?;
        }
        if self.meat.parts.is_none() {
            // The same mass whatever the way.
            self.meat.mass_kg = Some(lies.mass_kg);
        }
        Ok(lies)
    }

    /// The same evening with other meat on the block.
    pub fn with(&self, meat: ForecastRequest) -> Self {
        Self { meat, ..self.clone() }
    }

    /// Whether something is free.
    pub fn has(&self, kit: ThingKind) -> bool {
        self.kit.contains(&kit)
    }

    /// What the raw meat of a case costs, if its prices are known.
    pub fn cost(&self, case: &ResolvedDish) -> Option<f64> {
        case.parts.iter().map(|part| self.cost_of(part.facts.cut, part.mass_kg)).sum()
    }

    /// What so much of a cut costs.
    pub fn cost_of(&self, cut: Cut, mass_kg: f64) -> Option<f64> {
        self.price_per_kg.or_else(|| self.prices.get(&cut).copied()).map(|price| price * mass_kg)
    }

    /// What there is to brown in: a pan on the hob, an iron lid over a fire, a pressure pot's own insert, or nothing.
    fn browned_in(&self, method: Option<Method>) -> (Sear, SearIn) {
        let (sear, pan) = (Sear::default(), SearIn::default());
        match () {
            () if self.has(ThingKind::Burner) => (sear, pan),
            () if self.has(ThingKind::Coals) || self.has(ThingKind::Pit) => (sear, SearIn::Lid),
            () if method == Some(Method::Pressure) => (sear, SearIn::Pot),
            () => (Sear::None, pan),
        }
    }

    /// A forecast as a plan for this bell.
    pub fn plan(&self, mut forecast: ForecastRequest) -> Plan {
        // What is free tonight may be less than the kitchen has: the plan says so wherever it is read.
        if !self.kitchen.has_flame() {
            forecast.heats_in_the_oven_alone();
        }
        let cut = forecast.cut.or_else(|| forecast.parts.as_ref().and_then(|parts| parts.first()?.cut));
        let method = forecast.method.or_else(|| forecast.stages.as_ref().and_then(|stages| stages.first()?.method));
        let (sear, sear_in) = self.browned_in(method);
        let bench = Prepare { sear, sear_in, ..Prepare::default() };
        Plan {
            name: self.kitchen.voice().render(dish_name(cut.unwrap_or(Cut::Chuck), method, forecast.parts.is_some())),
            people: self.people,
            serve_at: self.serve_at,
            certainty: self.certainty_given,
            prepare: if forecast.goes_in_frozen() { bench.of_frozen() } else { bench },
            forecast,
            uses: Uses::default(),
            target: Target::default(),
            sides: Vec::new(),
            meal: None,
            pins: Vec::new(),
            laid: Vec::new(),
            notes: String::new(),
            thickener: Thickener::default(),
        }
    }
}

/// What the dish is called until the cook names it: "Braised shin".
fn dish_name(cut: Cut, method: Option<Method>, mixed: bool) -> Message {
    let name = if mixed { cuts::and_company(cut.name()) } else { cut.name() };
    words::dish(method.unwrap_or(Method::Braise).key(), name)
}
