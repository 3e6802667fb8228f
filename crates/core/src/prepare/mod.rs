//! At the bench: one dish from the board to the lid, in grams, batches, litres and millimetres.
//!
//! [`Prepare`] is what the cook has chosen and a plan keeps; [`Prepare::in_the_pot`] is what it makes of the forecast's
//! request; [`prepare`] works everything out.

mod answer;
mod at_the_bench;
mod balance;
mod because;
mod burner;
mod carries;
mod dial;
mod goes_in;
mod laid;
mod later;
mod offers;
mod pan;
mod planned;
mod pot;
mod request;
mod resolved;
mod salt;
mod scale;
mod schools;
mod sear;
mod seasoning;
mod shopping;
mod trim;
mod uses;
mod vessels;
mod warnings;
mod why;

pub use crate::finish::Seasoned;
pub use answer::Prepared;
pub use at_the_bench::{AtTheBench, Minds};
pub(crate) use balance::Brings;
pub use balance::{Balance, Swap};
pub use because::Reasons;
pub(crate) use carries::said_at_the_table;
pub use carries::{AllergenFrom, alcohol_left};
pub use dial::{CoalRing, DialSetting};
pub(crate) use goes_in::{FATS, rendered_bacon_g};
pub(crate) use later::{ComesOut, softens_by};
pub use later::{LaterAnswer, TakeOut};
pub use offers::{LaterOffer, Offer, Offers, Thickness};
pub(crate) use pot::poured_on_the_way;
pub use pot::{Marks, PotAnswer, Poured, TopUp};
pub use request::PrepareRequest;
pub use resolved::{Resolved, ResolvedVessel};
pub(crate) use salt::doubt_share;
pub use salt::{BrineAnswer, SaltAnswer, SaltSource, depth_mm, salting};
pub(crate) use schools::flour_g;
pub use schools::{School, SchoolOption, tempered_c};
pub use sear::{PanPoint, SearPlan, sear};
pub(crate) use seasoning::NO_SAUCE_L;
pub use seasoning::Seasoning;
pub use shopping::ShoppingItem;
pub(crate) use shopping::{OIL_ML, covering_fat_l};
pub(crate) use trim::SINEW_SHARE;
pub use trim::Trimmed;
pub use vessels::own_vessels;
pub use why::{OtherWay, Why, why};

pub(crate) use burner::Burner;
use ergastic_words::{Message, errors};
use laid::BenchFigures;

use crate::bench::{Addition, Larder, Prepare, SearFat, Trim};
use crate::cuts::Cut;
use crate::cuts::PORTION_KG;
use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::finish::Target;
use crate::forecast::{BodyFrom, ForBody, Forecast, ForecastRequest, Meat, ResolvedDish, forecast};
use crate::heat::pot::{Lid, PotMeasures};
use crate::kitchen::Kitchen;
use crate::ways::BesideTheMeat;
use ergastic_physics::body::DENSITY;
use ergastic_physics::juices::FAT_KG_PER_L;

/// Hours reckoned with where it never grows tender.
const NEVER_H: f64 = 3.0;

/// A dish as it is worked out: meat and way, bench, and who eats.
#[derive(Debug, Clone)]
pub struct Dish<'a> {
    /// The meat and its way, with pot and altitude of the kitchen.
    pub forecast: ForecastRequest,
    /// The bench.
    pub bench: &'a Prepare,
    /// How many eat.
    pub people: u32,
    /// What the butcher asks, a kilo.
    pub price_per_kg: Option<f64>,
    /// What the liquid becomes.
    pub target: Target,
    /// Browned although nothing is poured: meat for the pit, the bag or the fat goes in bare unless somebody asks.
    pub seared_anyway: bool,
}

/// Works a stateless request out.
///
/// # Errors
/// Names the field that can't be used; a tender cut is refused here, with what to do instead.
pub fn prepare_request(request: &PrepareRequest, kitchen: &Kitchen) -> Result<Prepared> {
    if request.parts.is_none() && request.cut.is_some() && request.mass_kg.is_none() {
        return Err(Error::missing("mass_kg", errors::mass_must_be_given()));
    }
    if let Some(bench) = &request.bench {
        // Also what a field outside it takes the place of.
        bench.check().map_err(|error| error.within("bench"))?;
    }
    let bench = request.bench();
    let people = request.people.unwrap_or(4);
    in_range("people", f64::from(people), 1.0, 200.0, Unit::None)?;
    if let Some(price) = request.price_per_kg {
        in_range("price_per_kg", price, 0.0, 10_000.0, Unit::AKilo)?;
    }
    let mut forecast = request.forecast();
    forecast.altitude_m.get_or_insert(kitchen.altitude_m);
    forecast.units.get_or_insert(kitchen.units);
    forecast.food_code.get_or_insert(kitchen.food_code);
    forecast.how = kitchen.how.clone();
    prepare(
        &Dish {
            forecast,
            bench: &bench,
            people,
            price_per_kg: request.price_per_kg,
            target: request.target.unwrap_or_default(),
            seared_anyway: request.sear.is_some(),
        },
        kitchen,
    )
}

/// Works a dish out, salt to lid.
///
/// # Errors
/// Names the field that can't be used; a tender cut is refused here, with what to do instead.
pub fn prepare(dish: &Dish, kitchen: &Kitchen) -> Result<Prepared> {
    let Dish { bench, people, price_per_kg, .. } = *dish;
    bench.check()?;
    refuse(&dish.forecast)?;
    let (asked, true_height_m) = with_room(&dish.forecast);
    let request = ForecastRequest { inside: None, explain: None, ..bench.in_the_pot(&asked) };
    let case = request.resolve()?;
    let predicted = forecast(&request)?;
    let hours = bench.hours.or(predicted.ready_min.p50.map(|min| min / 60.0)).unwrap_or(NEVER_H);
    let wet = case.stages.iter().any(|stage| stage.medium.is_pot());
    let base_l = if wet { pot::base_l(bench, case.liquid_l) } else { 0.0 };
    let salt = salt::salt(&case, bench, &predicted, hours, base_l);
    let seasoning = Seasoning::of(&case, bench, &predicted, hours, dish.target == Target::Glaze);
    let stop_at_l = seasoning.as_ref().map_or(0.0, |s| s.stop_at_l);
    let pot = pot::pot(&case, bench, &predicted, stop_at_l, hours, true_height_m.unwrap_or(case.pot().height_m));
    let browned = case.first().medium.is_pot() || dish.seared_anyway;
    let sear = if browned { sear::sear(&case, bench, kitchen) } else { SearPlan::none() };
    let yield_kg = f64::max(0.0, pot::along(&predicted.curve, hours * 60.0, |point| point.yield_kg));
    let trimmed = trim::trimmed(&case, bench, price_per_kg, people, yield_kg);
    let balance = pot.as_ref().map(|pot| balance::balance(bench, &pot.poured, hours, people, pot.left_l, case.voice));
    let later = goes_in_later(bench, &case, &predicted, hours);
    let (coals, schools) =
        (dial::coal_ring(&case, hours * 60.0), schools::schools(&case, &request, bench, kitchen, wet)?);
    let laid = BenchFigures {
        case: &case,
        bench,
        forecast: &predicted,
        trimmed: &trimmed,
        salt: &salt,
        seasoning: seasoning.as_ref(),
        sear: &sear,
        pot: pot.as_ref(),
        balance: balance.as_ref(),
        later: &later,
        coals: coals.as_ref(),
    };
    let (because, warnings, shopping) = (laid.reasons(), laid.warnings(), laid.shopping());
    Ok(Prepared {
        trimmed_kg: trimmed.trimmed_kg,
        portions: yield_kg / PORTION_KG,
        plate_kg: yield_kg,
        warnings,
        schools,
        because,
        dial: dial::dial(&request, &case)?,
        coals,
        take_out: later::taken_out(bench, &case),
        shopping,
        hours,
        assumed: predicted.assumed.clone(),
        forecast: predicted,
        sear,
        pot,
        salt,
        seasoning,
        trimmed,
        balance,
        later,
    })
}

/// What goes in on the way, at the heat it meets.
fn goes_in_later(bench: &Prepare, case: &ResolvedDish, predicted: &Forecast, hours: f64) -> Vec<LaterAnswer> {
    let medium_c = pot::along(&predicted.curve, hours * 60.0, |point| point.medium_c).clamp(40.0, case.boil_c);
    later::later(bench, medium_c, hours * 60.0, case.last().medium.facts().locked, case.voice)
}

/// A tender cut is refused with its reason.
fn refuse(request: &ForecastRequest) -> Result<()> {
    let parts = request.parts.iter().flatten().filter_map(|part| part.cut);
    for cut in request.cut.into_iter().chain(parts) {
        if let Some(why) = cut.refusal() {
            return Err(Error::new(WhatIsWrong::Unsuitable, "cut", cut.key(), why));
        }
    }
    Ok(())
}

/// The request in a vessel high enough to be reckoned in, and the true height where that is less, m: a vessel that is
/// too small is said, not refused.
fn with_room(request: &ForecastRequest) -> (ForecastRequest, Option<f64>) {
    let Some(vessel) = &request.vessel else { return (request.clone(), None) };
    let (Ok(pot), Some(mass_kg)) = (vessel.resolve(Lid::Tight), request.mass_kg) else {
        return (request.clone(), None);
    };
    let wanted_m = mass_kg / DENSITY / 0.85 / pot.floor_m2;
    if wanted_m <= pot.height_m || wanted_m > 0.8 {
        return (request.clone(), None);
    }
    let higher = PotMeasures { height_cm: Some(wanted_m * 100.0), ..vessel.clone() };
    (ForecastRequest { vessel: Some(higher), ..request.clone() }, Some(pot.height_m))
}

impl Prepare {
    /// What the bench makes of a forecast's request: trim, liquid, salt, body and warmth as they meet the heat. Fields
    /// that the request has of its own win.
    ///
    /// Where the request can't be resolved it is handed back as it is, and says so itself when it is.
    pub fn in_the_pot(&self, asked: &ForecastRequest) -> ForecastRequest {
        let mut request = asked.clone();
        self.trim_into(&mut request);
        let Ok(case) = request.resolve() else { return request };
        let wet = case.stages.iter().any(|stage| stage.medium.is_pot());
        if request.start_c.is_none() && self.temper_min > 0.0 {
            request.start_c = Some(tempered_c(&case, self.temper_min));
        }
        let mut liquid_l = case.liquid_l;
        if let (true, None, Some(level)) = (wet, request.liquid_l, self.level) {
            liquid_l = (case.packing.litres_for(level.share()) * 1000.0).round() / 1000.0;
            request.liquid_l = Some(liquid_l);
        }
        // What has not walked in dissolves in the liquid at once.
        let mut dissolves_g = 0.0;
        if request.salt_g.is_none() && request.salt_pct.is_none() {
            let meat = salt::meat_salt(&case, self);
            let in_liquid = case.first().medium.is_pot();
            dissolves_g = if in_liquid { salt::on_the_surface_g(&case, self, &meat) } else { 0.0 };
            request.salt_g = Some(meat.in_meat_g - dissolves_g);
        }
        if wet {
            let (poured, base_l) = (pot::poured(self, liquid_l), pot::base_l(self, liquid_l));
            if request.liquid_salt_g.is_none() {
                let grams: f64 = salt::of_ingredients(&case, self, base_l).iter().map(|source| source.g).sum();
                request.liquid_salt_g = Some(grams + dissolves_g);
            }
            if request.stock_gelatin_pct.is_none() && liquid_l > 0.0 {
                request.stock_gelatin_pct = Some(balance::gelatin_g(&poured) / liquid_l / 10.0);
            }
            let bacon_kg = if self.renders_bacon() { salt::BACON_G_PER_KG / 1000.0 * case.mass_kg } else { 0.0 };
            request.larder_fat_l.get_or_insert(balance::fat_kg(self, bacon_kg) / FAT_KG_PER_L);
            request.larder_water_l.get_or_insert(balance::water_l(self));
            if self.sinew_in_pot {
                let sinew = ForBody { what: BodyFrom::Sinew, mass_kg: trim::sinew_kg(&case.parts) };
                request.for_body.get_or_insert_default().push(sinew);
            }
        }
        request
    }

    /// What goes in before the meat is lifted, with the minutes it needs in this pot. What only goes on the plate is left
    /// out.
    pub(crate) fn additions(&self, case: &ResolvedDish, predicted: &Forecast) -> Vec<(Addition, f64)> {
        let end_min = predicted.ready_min.p50.unwrap_or(NEVER_H * 60.0);
        let medium_c = pot::along(&predicted.curve, end_min, |point| point.medium_c).clamp(40.0, case.boil_c);
        let all = later::later(self, medium_c, end_min, false, case.voice);
        all.into_iter().filter(|thing| thing.done_min > 0.0).map(|thing| (thing.what, thing.done_min)).collect()
    }

    /// Whether anything softens in the fat before the liquid.
    pub(crate) fn softens(&self) -> bool {
        goes_in::softens(self)
    }

    /// What goes into such a dish beside the meat, each thing once.
    pub(crate) fn goes_in(&self, case: &ResolvedDish, browned_in: Option<SearFat>) -> BesideTheMeat {
        goes_in::goes_in(self, case, browned_in)
    }

    /// What the pan is deglazed with, if something is.
    pub(crate) fn deglazes(&self) -> Option<Larder> {
        pot::deglazes(self).map(|thing| thing.what)
    }

    /// Minutes of boiling that down in the pan; none where it goes in as it is.
    pub(crate) fn boiling_down_min(&self, kitchen: &Kitchen) -> f64 {
        goes_in::boiling_down_min(self, Burner::of_hob(self, kitchen))
    }

    /// What of the larder comes out of the pot then.
    pub(crate) fn coming_out(&self, case: &ResolvedDish, when: ComesOut) -> Vec<Larder> {
        later::coming_out(self, case, when)
    }

    /// What comes out as the meat is lifted.
    pub(crate) fn take_out(&self, case: &ResolvedDish) -> Vec<Message> {
        later::take_out(self, case).into_iter().map(|(what, _)| what).collect()
    }

    /// What the ingredients bring to a liquid of which so much is left, L.
    pub(crate) fn brings(&self, case: &ResolvedDish, left_l: f64) -> Brings {
        balance::brings(self, &pot::poured(self, case.liquid_l), left_l)
    }

    /// The same, each with why.
    pub(crate) fn taken_out(&self, case: &ResolvedDish) -> Vec<TakeOut> {
        later::taken_out_at_the_lift(self, case)
    }

    fn trim_into(&self, request: &mut ForecastRequest) {
        if self.trim == Trim::Usual {
            return;
        }
        let pct = |cut: Option<Cut>| cut.map(|cut| self.trim.pct(cut.facts().trim_pct));
        match &mut request.parts {
            Some(parts) => {
                for Meat { cut, trim_pct, .. } in parts {
                    *trim_pct = trim_pct.or(pct(*cut));
                }
            }
            None => request.trim_pct = request.trim_pct.or(pct(request.cut)),
        }
    }
}
