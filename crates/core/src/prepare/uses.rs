//! What a plan takes from its kitchen: the vessel it stands in, what heats it, and what is too few or lent out.

use ergastic_words::{Message, kitchen as say};

use crate::bench::{Prepare, SearIn};
use crate::forecast::{ForecastRequest, Heat};
use crate::heat::pot::PotMeasures;
use crate::kitchen::{Kitchen, Thing, ThingKind, USUAL_INSERT_W, Used};
use crate::plan::{Plan, Uses};
use crate::ways::{HeatSource, Method, StandsIn};
use ergastic_physics::pressure::POWER_W;

/// The thing of that id.
fn named<'a, T>(things: &'a [Thing<T>], id: Option<&str>) -> Option<&'a Thing<T>> {
    things.iter().find(|thing| Some(thing.id.as_str()) == id)
}

/// The one that is named, else the first that is free, else the first there is.
fn of<'a, T>(things: &'a [Thing<T>], id: Option<&str>) -> Option<&'a Thing<T>> {
    named(things, id).or_else(|| things.iter().find(|thing| !thing.lent)).or(things.first())
}

/// The vessel that a way stands in: the plan's own where it measures one, else the kitchen's under the plan's lid.
pub(super) fn vessel(request: &ForecastRequest, uses: &Uses, kitchen: &Kitchen) -> Option<PotMeasures> {
    let own = request.vessel.clone();
    if own.as_ref().is_some_and(PotMeasures::is_sized) {
        return own;
    }
    let Some(mut vessel) = in_kitchen(request, uses, kitchen) else { return own };
    let own = own.unwrap_or_default();
    vessel.lid = own.lid.or(vessel.lid);
    vessel.material = own.material.or(vessel.material);
    Some(vessel)
}

fn in_kitchen(request: &ForecastRequest, uses: &Uses, kitchen: &Kitchen) -> Option<PotMeasures> {
    let id = uses.pot.as_deref();
    if request.stands_in_the_kitchens_pot() {
        return Some(named(&kitchen.pots, id).map_or_else(|| kitchen.pot(), |pot| pot.measures.clone()));
    }
    match request.pot_method()?.usual().facts().stands_in {
        StandsIn::PressurePot => of(&kitchen.pressure_pots, id).map(|pot| pot.measures.vessel()),
        StandsIn::SlowCooker => of(&kitchen.slow_cookers, id).map(|pot| pot.measures.vessel()),
        StandsIn::Pot | StandsIn::Anything | StandsIn::Nothing => None,
    }
}

/// What the kitchen's own oven and pressure pot add to a way's heat.
pub(super) fn heat(request: &mut ForecastRequest, uses: &Uses, kitchen: &Kitchen) {
    let oven = of(&kitchen.ovens, uses.heat.as_deref()).is_some_and(|oven| oven.measures.fan);
    // A usual element comes up as it was fitted; a stronger one sooner.
    let element = of(&kitchen.pressure_pots, uses.pot.as_deref()).map(|pot| pot.measures.watts);
    let watts = element.map(|watts| POWER_W * watts / USUAL_INSERT_W);
    let add = |method: Option<Method>, heat: &mut Option<Heat>| match method {
        Some(Method::Braise | Method::Stew) if oven => {
            if let Some(heat) = heat.as_mut().filter(|heat| heat.source == Some(HeatSource::Oven)) {
                heat.fan.get_or_insert(true);
            }
        }
        Some(Method::Pressure) => {
            if let Some(watts) = watts {
                heat.get_or_insert_default().power_w.get_or_insert(watts);
            }
        }
        _ => {}
    };
    match &mut request.stages {
        Some(stages) => stages.iter_mut().for_each(|stage| add(stage.method, &mut stage.heat)),
        None => add(request.method, &mut request.heat),
    }
}

impl Plan {
    /// The bench with the pan and the burner that the plan names, and what can be done to meat as cold as this.
    pub(crate) fn bench_in(&self, kitchen: &Kitchen) -> Prepare {
        let mut bench = self.prepare.clone();
        if self.forecast.goes_in_frozen() {
            bench = bench.of_frozen();
        }
        if let Some(pan) = named(&kitchen.pans, self.uses.pan.as_deref()) {
            let given = bench.pan.get_or_insert_default();
            given.diameter_cm.get_or_insert(pan.measures.diameter_cm);
            given.material.get_or_insert(pan.measures.material);
        }
        if let Some(burner) = named(&kitchen.burners, self.uses.burner.as_deref()) {
            let given = bench.hob.get_or_insert_default();
            given.watts.get_or_insert(burner.measures.watts);
            given.kind.get_or_insert(burner.measures.kind);
        }
        bench
    }

    /// The pot, dish, pressure pot or slow cooker it stands in; none where the plan measures a vessel of its own.
    pub(crate) fn pot_in<'a>(&self, kitchen: &'a Kitchen) -> Option<Used<'a>> {
        if self.forecast.vessel.as_ref().is_some_and(PotMeasures::is_sized) {
            return None;
        }
        let id = self.uses.pot.as_deref();
        match self.stands_in() {
            StandsIn::PressurePot => of(&kitchen.pressure_pots, id).map(Used::from),
            StandsIn::SlowCooker => of(&kitchen.slow_cookers, id).map(Used::from),
            StandsIn::Pot => of(&kitchen.pots, id).map(Used::from),
            StandsIn::Anything | StandsIn::Nothing => None,
        }
    }

    /// Which of the kitchen's vessels it stands in.
    fn stands_in(&self) -> StandsIn {
        let own = self.forecast.pot_method().map(|method| method.usual().facts().stands_in);
        match own.filter(|own| matches!(own, StandsIn::PressurePot | StandsIn::SlowCooker)) {
            Some(own) => own,
            None if self.forecast.stands_in_the_kitchens_pot() => StandsIn::Pot,
            None => StandsIn::Nothing,
        }
    }

    /// Everything it could stand in.
    pub(crate) fn pots_in<'a>(&self, kitchen: &'a Kitchen) -> Vec<Used<'a>> {
        match self.stands_in() {
            StandsIn::PressurePot => kitchen.things(ThingKind::PressurePot),
            StandsIn::SlowCooker => kitchen.things(ThingKind::SlowCooker),
            StandsIn::Pot => kitchen.things(ThingKind::Pot),
            StandsIn::Anything | StandsIn::Nothing => Vec::new(),
        }
    }

    /// Everything that could heat it as it is heated.
    pub(crate) fn heats_in<'a>(&self, kitchen: &'a Kitchen) -> Vec<Used<'a>> {
        self.heats().map(|thing| kitchen.things(thing)).unwrap_or_default()
    }

    /// The burner under the pan; none where the bench has one of its own.
    pub(crate) fn burner_in<'a>(&self, kitchen: &'a Kitchen) -> Option<Used<'a>> {
        if self.prepare.hob.is_some_and(|hob| hob.watts.is_some()) {
            return None;
        }
        let strongest = kitchen.burner();
        named(&kitchen.burners, self.uses.burner.as_deref())
            .or_else(|| kitchen.burners.iter().find(|burner| !burner.lent && burner.measures == strongest))
            .map(Used::from)
    }

    /// What heats it; of a chain, its first stage.
    pub(crate) fn heated_by<'a>(&self, kitchen: &'a Kitchen) -> Option<Used<'a>> {
        let (all, id) = (kitchen.things(self.heats()?), self.uses.heat.as_deref());
        let named = all.iter().find(|thing| Some(thing.id) == id);
        named.or_else(|| all.iter().find(|thing| !thing.lent)).or(all.first()).copied()
    }

    /// Which kind of thing heats it; none where that is the vessel itself.
    fn heats(&self) -> Option<ThingKind> {
        let first = self.forecast.stages.as_ref().and_then(|stages| stages.first());
        let method = self.forecast.method.or(first.and_then(|stage| stage.method))?;
        let heat = self.forecast.heat.as_ref().or(first.and_then(|stage| stage.heat.as_ref()));
        // A pot that says nothing of where it stands is looked for in the oven.
        let ways = method.ways();
        let source = heat.and_then(|heat| heat.source);
        let way = ways.iter().find(|way| source.is_some() && way.facts().source == source).unwrap_or(&ways[0]);
        let facts = way.facts();
        facts
            .thing
            .filter(|_| facts.kit.is_some() && !matches!(facts.stands_in, StandsIn::PressurePot | StandsIn::SlowCooker))
    }

    /// The frying pan it is seared in; none where it is seared in something else.
    pub(crate) fn pan_in<'a>(&self, kitchen: &'a Kitchen) -> Option<Used<'a>> {
        let own = self.prepare.pan.is_some_and(|pan| pan.diameter_cm.is_some());
        let in_a_pan = matches!(self.prepare.sear_in, SearIn::Pan | SearIn::TwoPans) && !own;
        in_a_pan.then(|| of(&kitchen.pans, self.uses.pan.as_deref()).map(Used::from)).flatten()
    }

    /// What of all this is lent out, and what there is too little of, with the name of each warning.
    pub(crate) fn short_of(&self, kitchen: &Kitchen, seared: bool) -> Vec<(&'static str, Message)> {
        let pan = self.pan_in(kitchen).filter(|_| seared);
        let used = [self.pot_in(kitchen), self.heated_by(kitchen), pan];
        let lent = used.into_iter().flatten().filter(|used| used.lent);
        let mut short: Vec<_> = lent.map(|used| ("lent_out", say::lent_out(used.name))).collect();
        if seared && self.prepare.sear_in == SearIn::TwoPans {
            let [pans, burners] = [ThingKind::Pan, ThingKind::Burner].map(|kind| kitchen.count(kind) as u32);
            if pans < 2 || burners < 2 {
                short.push(("two_pans", say::two_pans(pans, burners)));
            }
        }
        short
    }
}
