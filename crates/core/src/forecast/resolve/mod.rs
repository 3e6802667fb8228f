//! From a request to a case with nothing left open: defaults, ranges, and what was assumed.

mod case;
mod piece;
mod stages;

use super::known::{Belief, Known};
use super::meat::Meat;
use super::request::{Added, BodyFrom, ForecastRequest};
use ergastic_words::{Elevation, Length, Mass, Message, Temperature, Voice, Volume, errors, forecast as say};

use crate::cuts::Cut;
use crate::error::{Error, Result, Unit, WhatIsWrong, in_range};
use crate::heat::pot::{Lid, Pot, PotMeasures};
use crate::tender::Wears;
use ergastic_physics::body::DENSITY;
use ergastic_physics::body::THAWED_C;
use ergastic_physics::juices::Body;
use ergastic_physics::liquid::Packing;
use ergastic_physics::places::FROM_THE_FRIDGE_C;
use ergastic_physics::steam::{atmospheric_pressure, saturation_temperature};
use ergastic_physics::units::MINUTE_S;

use crate::ways::{BRAISED, COLD_IN_A_DISH, Fill, HOT, Method, StandsIn};
pub use case::{Leg, ResolvedDish, ResolvedPart, ResolvedStage};
use ergastic_physics::case::Pour;

/// Simulated cooks where nothing is said. One number for the bench, the timetable, the cook and the question: a dish has one median.
const USUAL_MEMBERS: u32 = 400;

/// Most parts of a mixed pot.
const MAX_PARTS: usize = 8;
/// The most cooks × parts × stages of one forecast: some seconds of two cores.
const MAX_RUNS: usize = 100_000;

/// The chance that is called sure where nobody has said another: nine in ten.
const SURE: f64 = 0.9;

impl ForecastRequest {
    /// Whether the meat is frozen when it meets the heat.
    pub fn goes_in_frozen(&self) -> bool {
        self.start_c.is_some_and(|celsius| celsius < THAWED_C)
    }

    /// Checks every field and fills in what was left out.
    ///
    /// # Errors
    /// Names the first field that can't be used, with what is allowed. A tender cut is refused by its field;
    /// ask [`crate::cuts::Cut::refusal`] first to answer it instead.
    pub fn resolve(&self) -> Result<ResolvedDish> {
        let mut fill = Fill::default();
        let mut notes = Vec::new();
        self.cut.map(drop).or(self.parts.as_ref().map(drop)).ok_or_else(piece::no_cut)?;
        let pressure_pa = self.resolve_air(&mut fill)?;
        let boil_c = saturation_temperature(pressure_pa);
        let first_method = self.first_method()?;
        let pot_method = self.pot_method();
        let vessel = self.vessel.clone().unwrap_or_else(|| usual_vessel(pot_method));
        let stages = self.resolve_stages(&vessel, pressure_pa, boil_c, &mut fill)?;
        let parts = self.resolve_parts(first_method, wears(&stages), &mut fill, &mut notes)?;
        let mass_kg: f64 = parts.iter().map(|part| part.mass_kg).sum();
        let start_c = fill.or("start_c", self.start_c, FROM_THE_FRIDGE_C, say::from_the_cold, celsius);
        in_range("start_c", start_c, -40.0, 40.0, Unit::Celsius)?;
        let pot = stages.iter().find(|stage| stage.medium.is_pot()).map_or(stages[0].pot, |stage| stage.pot);
        if stages.iter().any(|stage| stage.medium.is_pot() || stage.medium.facts().stands_in == StandsIn::Pot) {
            self.assume_vessel(&pot, pot_method, &mut fill);
            fits(&pot, mass_kg, self.parts.is_some())?;
        }
        let packing = packed(&pot, &parts);
        let wet = stages.iter().any(|stage| stage.medium.is_pot());
        let liquid_l = self.resolve_liquid(pot_method, wet, &packing, mass_kg, &mut fill, &mut notes)?;
        if wet {
            notes.extend(overflows(&pot, &packing, liquid_l));
        }
        let liquid_start_c = self.resolve_liquid_start(&stages[0], &vessel, wet, &mut fill)?;
        let members = self.resolve_members(parts.len(), stages.len())?;
        let body = self.resolve_body(liquid_l)?;
        let [liquid_salt_g, larder_fat_l, larder_water_l] = self.resolve_larder()?;
        let salt_g = self.resolve_salt(&parts, &mut fill)? + liquid_salt_g;
        Ok(ResolvedDish {
            how: self.how.clone(),
            mass_kg,
            pieces: parts.iter().map(|part| part.pieces).sum(),
            start_c,
            packing,
            liquid_l,
            liquid_start_c: f64::min(liquid_start_c, boil_c),
            added: self.resolve_added(boil_c, &stages)?,
            boil_c,
            body,
            salt_g,
            liquid_salt_g,
            larder_fat_l,
            larder_water_l: if wet { larder_water_l } else { 0.0 },
            certainty: self.certainty.unwrap_or(SURE),
            known: self.resolve_known()?,
            deadline_s: self.resolve_deadline()?,
            members,
            seed: self.seed.unwrap_or(1),
            inside: self.inside.unwrap_or(false),
            explain: self.explain.unwrap_or(false),
            assumed: fill.filled,
            notes,
            voice: Voice::new(self.units.unwrap_or_default()).under(self.food_code.unwrap_or_default()),
            parts,
            stages,
        })
    }

    /// What the larder brings: salt, g, fat and water, L.
    fn resolve_larder(&self) -> Result<[f64; 3]> {
        let litres = |field, given: Option<f64>, most| in_range(field, given.unwrap_or(0.0), 0.0, most, Unit::Litres);
        Ok([
            in_range("liquid_salt_g", self.liquid_salt_g.unwrap_or(0.0), 0.0, 2000.0, Unit::Grams)?,
            litres("larder_fat_l", self.larder_fat_l, 20.0)?,
            litres("larder_water_l", self.larder_water_l, 60.0)?,
        ])
    }

    /// The air's pressure, Pa.
    fn resolve_air(&self, fill: &mut Fill) -> Result<f64> {
        let words = |m| say::altitude(Elevation(m));
        let altitude_m = fill.or("altitude_m", self.altitude_m, 0.0, say::at_sea_level, words);
        Ok(atmospheric_pressure(in_range("altitude_m", altitude_m, -430.0, 6000.0, Unit::Metres)?))
    }

    /// How warm the liquid goes in, °C; nothing is assumed aloud of a way without any.
    fn resolve_liquid_start(
        &self,
        first: &ResolvedStage,
        vessel: &PotMeasures,
        wet: bool,
        fill: &mut Fill,
    ) -> Result<f64> {
        let (pot_method, first) = (self.pot_method(), first.medium.facts());
        let poured = wet || first.stands_in == StandsIn::Pot;
        let in_a_dish = first.hot_later && !vessel.stands_on_a_hob();
        let usual = match pot_method.map(|method| method.usual().facts().goes_in) {
            _ if in_a_dish => COLD_IN_A_DISH,
            usual => usual.unwrap_or(HOT),
        };
        let start_c = match self.liquid_start_c {
            None if !poured => usual.celsius,
            given => fill.or("liquid_start_c", given, usual.celsius, usual.why, celsius),
        };
        in_range("liquid_start_c", start_c, 0.0, 100.0, Unit::Celsius)
    }

    /// When it has to be ready, s.
    fn resolve_deadline(&self) -> Result<Option<f64>> {
        let checked = |minutes| in_range("deadline_min", minutes, 0.0, 14_400.0, Unit::Minutes);
        Ok(self.deadline_min.map(checked).transpose()?.map(|minutes| minutes * MINUTE_S))
    }

    /// How many cooks are simulated.
    fn resolve_members(&self, parts: usize, stages: usize) -> Result<usize> {
        let members = self.members.unwrap_or(USUAL_MEMBERS);
        in_range("members", f64::from(members), 1.0, 20_000.0, Unit::None)?;
        if members as usize * parts * stages > MAX_RUNS {
            let given = errors::runs(members, parts as u32, stages as u32);
            return Err(Error::said(WhatIsWrong::OutOfRange, "members", given, errors::most_runs(MAX_RUNS as u32)));
        }
        Ok(members as usize)
    }

    /// The parts as they are, or the one cut as a single part.
    fn resolve_parts(
        &self,
        method: Method,
        wears: Wears,
        fill: &mut Fill,
        notes: &mut Vec<Message>,
    ) -> Result<Vec<ResolvedPart>> {
        let Some(parts) = &self.parts else {
            return Ok(vec![self.meat().resolve(&self.how.model.p, method, wears, fill, notes)?]);
        };
        // How old it was, what it was fed and how it is eaten may hold for all parts.
        let of_all = ["age", "grass_fed", "eaten_as"];
        let twice = self.meat().given().into_iter().find(|(name, given)| *given && !of_all.contains(name));
        if let Some((name, _)) = twice {
            return Err(Error::said(WhatIsWrong::Clash, name, errors::beside_parts(), errors::stands_in_each_part()));
        }
        if parts.is_empty() || parts.len() > MAX_PARTS {
            return Err(Error::new(
                WhatIsWrong::OutOfRange,
                "parts",
                parts.len(),
                errors::so_many(1, MAX_PARTS as u32),
            ));
        }
        let resolved = parts.iter().enumerate().map(|(i, part)| {
            fill.path = format!("parts[{i}].");
            let with_whole = Meat {
                age: part.age.or(self.age),
                grass_fed: part.grass_fed.or(self.grass_fed),
                eaten_as: part.eaten_as.or(self.eaten_as),
                ..part.clone()
            };
            with_whole
                .resolve(&self.how.model.p, method, wears, fill, notes)
                .map_err(|error| error.within(&format!("parts[{i}]")))
        });
        let resolved = resolved.collect::<Result<Vec<_>>>()?;
        fill.path.clear();
        Ok(resolved)
    }

    fn assume_vessel(&self, pot: &Pot, method: Option<Method>, fill: &mut Fill) {
        let sized = |vessel: &PotMeasures| {
            vessel.diameter_cm.is_some() || vessel.width_cm.is_some() || vessel.length_cm.is_some()
        };
        if !self.vessel.as_ref().is_some_and(sized) {
            let holds = Volume((pot.volume_m3() * 1000.0).round());
            let value = match (&self.vessel, method.map(|method| method.usual().facts().stands_in)) {
                (None, Some(StandsIn::PressurePot)) => say::pressure_pot(holds),
                (None, Some(StandsIn::SlowCooker)) => say::crock(holds),
                _ => say::round_pot(Length(pot.across_m() * 1000.0), pot.material.key()),
            };
            fill.with("vessel", value, say::common_size());
        }
        let said = self.vessel.as_ref().is_some_and(|vessel| vessel.lid.is_some())
            || self.stages.as_ref().is_some_and(|stages| stages.iter().any(|stage| stage.lid.is_some()));
        if !said {
            fill.with("vessel.lid", pot.lid.words(), say::usual_cover());
        }
    }

    fn resolve_liquid(
        &self,
        method: Option<Method>,
        wet: bool,
        packing: &Packing,
        mass_kg: f64,
        fill: &mut Fill,
        notes: &mut Vec<Message>,
    ) -> Result<f64> {
        if let Some(given) = self.liquid_l {
            in_range("liquid_l", given, 0.0, 60.0, Unit::Litres)?;
        }
        if !wet {
            if self.liquid_l.is_some_and(|litres| litres > 0.0) {
                notes.push(say::no_liquid_here());
            }
            return Ok(0.0);
        }
        let level = method.map_or(BRAISED, Method::level);
        let (wanted_l, most_l) = (packing.litres_for(level.share), f64::max(level.min_l, level.max_l_per_kg * mass_kg));
        let usual_l = wanted_l.clamp(level.min_l, f64::min(most_l, 40.0));
        let words = if wanted_l > most_l { say::level_wide_pot } else { level.why };
        Ok(fill.or("liquid_l", self.liquid_l, (usual_l * 20.0).round() / 20.0, words, |l| Message::quantity(Volume(l))))
    }

    fn resolve_body(&self, liquid_l: f64) -> Result<Body> {
        let stock_pct = in_range("stock_gelatin_pct", self.stock_gelatin_pct.unwrap_or(0.0), 0.0, 15.0, Unit::Percent)?;
        let mut body = Body { stock_gelatin_g: stock_pct * 10.0 * liquid_l, collagen_g: 0.0 };
        let things = self.for_body.as_deref().unwrap_or_default();
        if things.len() > 12 {
            return Err(Error::new(WhatIsWrong::OutOfRange, "for_body", things.len(), errors::at_most(12)));
        }
        for (i, thing) in things.iter().enumerate() {
            let mass_kg = in_range(&format!("for_body[{i}].mass_kg"), thing.mass_kg, 0.0, 20.0, Unit::Kilograms)?;
            // Collagen, % of raw mass. Working values; published figures for feet and rind scatter with the bone left in.
            let collagen_pct = match thing.what {
                BodyFrom::Sinew => 15.0,
                BodyFrom::Foot => 12.0,
                BodyFrom::Tendon => 25.0,
                BodyFrom::Rind => 28.0,
            };
            body.collagen_g += mass_kg * 10.0 * collagen_pct;
        }
        Ok(body)
    }

    fn resolve_salt(&self, parts: &[ResolvedPart], fill: &mut Fill) -> Result<f64> {
        if let Some(salt_g) = self.salt_g {
            return in_range("salt_g", salt_g, 0.0, 5000.0, Unit::Grams);
        }
        let corned = parts.iter().all(|part| part.facts.cut == Cut::CornedBrisket);
        let (usual, why): (f64, fn() -> Message) =
            if corned { (0.0, say::corned_brings_salt) } else { (1.25, say::middling_hand) };
        let salt_pct = fill.or("salt_pct", self.salt_pct, usual, why, |pct| Message::text(format!("{pct:.2} %")));
        in_range("salt_pct", salt_pct, 0.0, 5.0, Unit::Percent)?;
        Ok(parts
            .iter()
            .map(|part| {
                let trimmed_g = part.trimmed_kg() * 1000.0;
                let own = if part.facts.cut == Cut::CornedBrisket { CORNED_SALT } else { 0.0 };
                trimmed_g * (salt_pct / 100.0 + own)
            })
            .sum())
    }

    fn resolve_added(&self, boil_c: f64, stages: &[ResolvedStage]) -> Result<Vec<Pour>> {
        let added = self.added.as_deref().unwrap_or_default();
        if !added.is_empty() && !stages.iter().any(|stage| stage.medium.is_pot()) {
            return Err(Error::said(
                WhatIsWrong::Unsuitable,
                "added",
                errors::a_value(),
                errors::no_pot_to_pour_into(),
            ));
        }
        if added.len() > 100 {
            return Err(Error::new(WhatIsWrong::OutOfRange, "added", added.len(), errors::at_most(100)));
        }
        let mut pours = Vec::with_capacity(added.len());
        for (i, Added { at_min, liquid_l, celsius }) in added.iter().enumerate() {
            let field = |name: &str| format!("added[{i}].{name}");
            pours.push(Pour {
                at_s: in_range(&field("at_min"), *at_min, 0.0, 4320.0, Unit::Minutes)? * MINUTE_S,
                litres: in_range(&field("liquid_l"), *liquid_l, 0.0, 20.0, Unit::Litres)?,
                celsius: in_range(&field("celsius"), *celsius, 0.0, 100.0, Unit::Celsius)?.min(boil_c),
            });
        }
        pours.sort_by(|a, b| a.at_s.total_cmp(&b.at_s));
        Ok(pours)
    }
}

impl ForecastRequest {
    /// What is believed of the kitchen, within what can be.
    fn resolve_known(&self) -> Result<Known> {
        let known = self.known.unwrap_or_default();
        for (name, belief, most, unit) in [
            ("oven_k", known.oven_k, 40.0, Unit::Kelvin),
            ("pot_k", known.pot_k, 15.0, Unit::Kelvin),
            ("pit_k", known.pit_k, 40.0, Unit::Kelvin),
            ("lid_ln", known.lid_ln, 2.0, Unit::None),
            ("toughness_ln", known.toughness_ln, 1.0, Unit::None),
        ] {
            if let Some(Belief { mean, sigma }) = belief {
                in_range(&format!("known.{name}.mean"), mean, -most, most, unit)?;
                in_range(&format!("known.{name}.sigma"), sigma, 0.0, most, unit)?;
            }
        }
        Ok(known)
    }
}

/// What about its ways wears on the meat.
fn wears(stages: &[ResolvedStage]) -> Wears {
    Wears {
        rolling_boil: stages.iter().any(|stage| stage.medium.rolls()),
        small_and_wet: stages.iter().all(|stage| stage.medium.is_pot() && stage.pot.lid != Lid::None),
    }
}

/// The meat as it lies in a pot.
fn packed(pot: &Pot, parts: &[ResolvedPart]) -> Packing {
    let lie = parts.iter().map(|part| (part.sides_m, part.pieces, part.mass_kg / DENSITY));
    Packing::lay_all(pot.floor_m2, &lie.collect::<Vec<_>>())
}

/// A temperature that was assumed.
fn celsius(celsius: f64) -> Message {
    Message::quantity(Temperature(celsius))
}

/// Salt in corned meat, share of its mass: 25 to 30 g/kg. Practice.
pub(crate) const CORNED_SALT: f64 = 0.0275;

/// The vessel a method is usually cooked in.
fn usual_vessel(method: Option<Method>) -> PotMeasures {
    method.map(|method| (method.usual().facts().vessel)()).unwrap_or_default()
}

/// What is said of a vessel that its liquid does not go into.
fn overflows(pot: &Pot, packing: &Packing, liquid_l: f64) -> Option<Message> {
    let room_l = (pot.volume_m3() - packing.meat_m3) * 1000.0;
    (liquid_l > room_l).then(|| say::overflows(Volume(room_l)))
}

/// Whether the meat goes into the vessel at all.
fn fits(pot: &Pot, mass_kg: f64, mixed: bool) -> Result<()> {
    let most_kg = pot.volume_m3() * 0.9 * DENSITY;
    if mass_kg <= most_kg {
        return Ok(());
    }
    let field = if mixed { "parts" } else { "mass_kg" };
    Err(Error::said(
        WhatIsWrong::DoesNotFit,
        field,
        Message::quantity(Mass(mass_kg)),
        errors::vessel_takes(Mass(most_kg)),
    ))
}
