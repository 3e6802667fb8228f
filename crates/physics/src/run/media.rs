//! What surrounds the meat, medium by medium: where each goes in a step, and what the meat's surface meets.

use std::ops::Range;

use super::part::PartState;
use super::surround::Surround;
use crate::body::SHELLS;
use crate::case::Stage;
use crate::medium::{Cooling, FirstHeat, Medium};
use crate::pit::{Pit, Wrapping};
use crate::places::{FRIDGE_C, ICE_WATER_C, ROOM_C};
use crate::pressure::{Pressed, PressureStep, follow};
use crate::steam::{LATENT_HEAT, SteamOven, saturation, vapour};
use crate::vessel::{PotBalance, SimmerLevel, Vessel, WATER_SPECIFIC_HEAT};

/// Meat holds the heat of so much water, kg a kg: 3500 over 4186 J/(kg K).
const MEAT_AS_WATER: f64 = 0.84;

impl<const L: usize> Surround<'_, L> {
    /// What changes slowly: the share under liquid, and the steam that leaves a held pot.
    #[inline(always)]
    pub(super) fn refresh(&mut self, lane: usize, parts: &mut [PartState<L>]) {
        self.fresh[lane] = false;
        let p = &self.case.model.p;
        let stage = self.chain.at(lane);
        let (pot, lid, celsius) = (&stage.vessel, self.kitchens.lid[lane], self.celsius[lane]);
        let still = pot.diffusion(p, vapour(), celsius, lid, false);
        self.loss[lane] = match stage.medium {
            Medium::Hob { simmer } => pot.hob_loss(p, simmer, celsius, lid),
            Medium::Reheat => pot.hob_loss(p, SimmerLevel::Gentle, celsius, lid),
            Medium::Oven { start: FirstHeat::Hob, .. } | Medium::Coals(_) if !self.simmered[lane] => {
                pot.hob_loss(p, SimmerLevel::Gentle, celsius, lid)
            }
            Medium::SlowCooker(_) | Medium::KeepWarm { .. } => still,
            Medium::Pressure { .. } => p.pressure.seal_loss,
            _ => 0.0,
        };
        let under = self.case.packing.submerged(self.water_kg[lane]);
        let over = pot.cover.figures(p).steam_coefficient;
        let coefficient = self.kitchens.coefficient[lane]
            * match stage.medium {
                Medium::Pressure { .. } => p.surface.pressure,
                Medium::Fat { .. } => p.surface.fat,
                Medium::Bath { .. } | Medium::Chill { cooling: Cooling::InBag } => p.surface.bath,
                Medium::Chill { cooling: Cooling::InLiquid | Cooling::InAir } => p.surface.cooling,
                Medium::Chill { cooling: Cooling::OnTray } => p.surface.fridge,
                _ => under * p.surface.liquid + (1.0 - under) * over,
            };
        for part in parts.iter_mut() {
            part.around.coefficient[lane] = coefficient;
            part.around.evaporation[lane] = 0.0;
            part.around.air_vapour_pa[lane] = p.pit.vapour_pa;
            if let Medium::Pit { wrap, .. } = stage.medium {
                part.rewrap(p, lane, wrap.map(|(material, _)| material));
            }
        }
    }

    /// Where the media of some cooks, all in the same stage, stand at the end of the step, as far as it is known before the
    /// meat's heat is. Written so that all lanes of a group go through each sum together.
    #[inline(always)]
    pub(super) fn advance(&mut self, lanes: Range<usize>, stage: &Stage, start_s: f64, parts: &mut [PartState<L>]) {
        let (p, boil_c) = (&self.case.model.p, self.case.boil_c);
        for lane in lanes.clone() {
            self.open.waits[lane] = false;
            if self.poured[lane] < self.case.added.len() {
                self.pour(lane, start_s, stage);
            }
        }
        match stage.medium {
            Medium::Hob { simmer } => self.simmer(lanes, simmer),
            Medium::Reheat => self.simmer(lanes, SimmerLevel::Gentle),
            Medium::Oven { start: FirstHeat::Hob, .. } | Medium::Coals(_)
                if !lanes.clone().all(|lane| self.simmered[lane]) =>
            {
                self.rise(lanes.clone(), |_| boil_c);
                for lane in lanes.filter(|lane| self.next_c[*lane] >= boil_c - p.pot.simmer_reached_k) {
                    self.simmered[lane] = true;
                    self.fresh[lane] = true;
                }
            }
            Medium::Oven { set_c, fan, start } => {
                let half_s = 0.5 * self.step_s;
                let air_c = |since_s: f64| match start {
                    FirstHeat::ColdOven => set_c - (set_c - 20.0) * (-(since_s + half_s) / p.pot.cold_oven_s).exp(),
                    _ => set_c,
                };
                self.balance(lanes, &stage.vessel, fan, start_s, air_c, parts);
            }
            Medium::Coals(coals) => {
                let half_s = 0.5 * self.step_s;
                let air_c = |since_s: f64| coals.oven_c(&p.coals, since_s + half_s);
                self.balance(lanes, &stage.vessel, false, start_s, air_c, parts);
            }
            Medium::Pressure { .. } => {
                for lane in lanes {
                    self.next_c[lane] = self.press(lane, stage, start_s, parts);
                }
            }
            Medium::SlowCooker(set) => {
                let (end_c, set) = (f64::min(set.end_c(p), boil_c - 1.0), &p.slow_cooker[set as usize]);
                self.tend(lanes, set.time_s * self.slow_cooker_fill, |pot_k| end_c + pot_k);
            }
            Medium::KeepWarm { at_c } => self.tend(lanes, p.pot.keep_warm_s, |pot_k| at_c + pot_k),
            Medium::Steam(oven) => self.steam(lanes, &oven, &stage.vessel, parts),
            Medium::Bath { bath_c } => self.tend(lanes, 0.0, |pot_k| bath_c + p.pot.bath_steadiness * pot_k),
            Medium::Fat { fat_c } => self.rise(lanes, |pot_k| fat_c + pot_k),
            Medium::Chill { cooling: Cooling::InLiquid } => self.tend(lanes, p.pot.shallow_cooling_s, |_| FRIDGE_C),
            Medium::Chill { cooling: Cooling::InBag } => self.tend(lanes, 0.0, |_| ICE_WATER_C),
            Medium::Chill { cooling: Cooling::OnTray } => self.tend(lanes, 0.0, |_| FRIDGE_C),
            Medium::Chill { cooling: Cooling::InAir } => {
                let stored = self.stored(lanes.start, &stage.vessel);
                self.tend(lanes, stored / stage.vessel.oven_conductance(p, false), |_| ROOM_C);
            }
            Medium::Pit { pit, wrap } => self.smoke(lanes, &pit, wrap, start_s, parts),
        }
    }

    /// Pots on the hob: towards the boil until they simmer as the word says, then held there by eye.
    #[inline(always)]
    fn simmer(&mut self, lanes: Range<usize>, simmer: SimmerLevel) {
        let boil_c = self.case.boil_c;
        let below_boil_k = simmer.below_boil_k(&self.case.model.p);
        for lane in lanes {
            let (now_c, held_c) =
                (self.celsius[lane], f64::min(boil_c, boil_c - below_boil_k + self.kitchens.pot_k[lane]));
            let towards = |to_c: f64| now_c + (to_c - now_c) * self.rise;
            self.next_c[lane] = if now_c > held_c { towards(held_c) } else { f64::min(held_c, towards(boil_c)) };
        }
    }

    /// Media that tend to a temperature with the hob's time constant.
    #[inline(always)]
    fn rise(&mut self, lanes: Range<usize>, to_c: impl Fn(f64) -> f64) {
        for lane in lanes {
            self.next_c[lane] = self.celsius[lane] + (to_c(self.kitchens.pot_k[lane]) - self.celsius[lane]) * self.rise;
        }
    }

    /// Media that tend to a temperature with a time constant of their own, s.
    #[inline(always)]
    fn tend(&mut self, lanes: Range<usize>, time_s: f64, to_c: impl Fn(f64) -> f64) {
        let share = 1.0 - (-self.step_s / time_s).exp();
        for lane in lanes {
            self.next_c[lane] = self.celsius[lane] + (to_c(self.kitchens.pot_k[lane]) - self.celsius[lane]) * share;
        }
    }

    /// What a pot, its liquid and its meat hold, J/K.
    #[inline(always)]
    fn stored(&self, lane: usize, pot: &Vessel) -> f64 {
        let water_kg = self.water_kg[lane] + MEAT_AS_WATER * self.case.mass_kg;
        pot.heat_capacity(&self.case.model.p) + water_kg * WATER_SPECIFIC_HEAT
    }

    /// Something that depends on the time since the heat source was lit: worked out once where all were lit together.
    #[inline(always)]
    fn by_clock<T: Copy>(&self, lanes: Range<usize>, start_s: f64, of: impl Fn(f64) -> T) -> [T; L] {
        let mut since_s = start_s - self.chain.since_s[lanes.start];
        let mut now = of(since_s);
        let mut all = [now; L];
        for lane in lanes {
            if start_s - self.chain.since_s[lane] != since_s {
                since_s = start_s - self.chain.since_s[lane];
                now = of(since_s);
            }
            all[lane] = now;
        }
        all
    }

    /// Pots in a balance of their own: oven or coals in, steam and meat out.
    #[inline(always)]
    fn balance(
        &mut self,
        lanes: Range<usize>,
        pot: &Vessel,
        fan: bool,
        start_s: f64,
        air_c: impl Fn(f64) -> f64,
        parts: &[PartState<L>],
    ) {
        let air_c = self.by_clock(lanes.clone(), start_s, air_c);
        let (p, boil_c) = (&self.case.model.p, self.case.boil_c);
        let conductance = pot.oven_conductance(p, fan);
        let (empty, vapour) = (pot.heat_capacity(p), vapour());
        // Copies: a store through `self` would keep the lanes from going side by side.
        let (celsius, water_kg) = (self.celsius, self.water_kg);
        let (oven_k, lid) = (self.kitchens.oven_k, self.kitchens.lid);
        let (meat_conductance, meat_c) = (conductances(parts), outermost(parts));
        let (mut next_c, mut oven_c, mut heat_capacity) = ([0.0; L], [0.0; L], [0.0; L]);
        for lane in 0..L {
            oven_c[lane] = air_c[lane] + oven_k[lane];
            heat_capacity[lane] = empty + water_kg[lane] * WATER_SPECIFIC_HEAT;
            let now = PotBalance {
                step_s: self.step_s,
                celsius: celsius[lane],
                oven_c: oven_c[lane],
                boil_c,
                heat_capacity: heat_capacity[lane],
                conductance,
                meat_conductance: meat_conductance[lane],
                meat_c: meat_c[lane],
                evaporation: pot.diffusion(p, vapour, celsius[lane], lid[lane], fan) * LATENT_HEAT,
            };
            next_c[lane] = now.predict();
        }
        for lane in lanes {
            self.next_c[lane] = next_c[lane];
            self.open.waits[lane] = true;
            self.open.oven_c[lane] = oven_c[lane];
            self.open.heat_capacity[lane] = heat_capacity[lane];
            self.open.conductance[lane] = conductance;
        }
    }

    /// One cook's closed pot.
    #[inline(never)]
    fn press(&mut self, lane: usize, stage: &Stage, start_s: f64, parts: &[PartState<L>]) -> f64 {
        let Medium::Pressure { target_c, hold_s, quick, power_w, .. } = stage.medium else {
            return self.celsius[lane];
        };
        let (p, pot, boil_c, celsius) = (&self.case.model.p, &stage.vessel, self.case.boil_c, self.celsius[lane]);
        self.opened_s[lane] = None;
        // Too little liquid boils away before pressure builds: it stays at the local boil, with the lid on.
        if self.case.liquid_l < p.pressure.min_litres && self.water_kg[lane] < p.pressure.min_litres {
            return celsius + (boil_c - celsius) * self.rise;
        }
        let last = self.chain.stage[lane] + 1 == self.case.stages.len();
        let held_s = hold_s.filter(|_| !(self.holds.stays_on && last));
        let pressed: Pressed = follow(
            &p.pressure,
            pot,
            &PressureStep {
                start_s,
                step_s: self.step_s,
                target_c: target_c + self.kitchens.pot_k[lane],
                boil_c,
                hold_s: held_s.unwrap_or(self.holds.solved_s[lane]),
                quick,
                power_w,
                heat_capacity: pot.heat_capacity(p) + self.water_kg[lane] * WATER_SPECIFIC_HEAT,
                meat_conductance: conductances(parts)[lane],
                meat_c: outermost(parts)[lane],
            },
            celsius,
            self.phase[lane],
        );
        self.phase[lane] = pressed.phase;
        if let Some(at_s) = pressed.came_up_s {
            self.came_up_s[lane] = at_s - self.chain.entered_s[lane];
        }
        self.opened_s[lane] = pressed.opened_s;
        self.steam_kg[lane] += pressed.flashed_kg;
        pressed.celsius
    }

    /// Steam about an open pan: it condenses on what is colder than its dew point, and what runs off stays in the pan; where air is in
    /// it, what has come past the dew point stands wet in it. Liquid in the pan is taken to be as warm as the meat's surface.
    #[inline(always)]
    fn steam(&mut self, lanes: Range<usize>, oven: &SteamOven, pan: &Vessel, parts: &mut [PartState<L>]) {
        if !pan.cover.is_open() {
            return self.steam_covered(lanes, oven, pan);
        }
        let p = &self.case.model.p.steam;
        for lane in lanes {
            let air_c = oven.set_c + self.kitchens.pot_k[lane];
            let vapour_pa = oven.vapour_pa(p, air_c);
            let sure = self.kitchens.coefficient[lane];
            for part in parts.iter_mut() {
                self.poured_l[lane] += f64::max(0.0, -part.bodies.evaporated[lane]) * part.area_m2[lane];
                let surface_pa = saturation().with_slope(part.bodies.celsius[SHELLS - 1][lane]).0;
                let dry = surface_pa > vapour_pa && part.is_dry(lane);
                part.around.coefficient[lane] = p.at_the_surface() * sure;
                part.around.evaporation[lane] =
                    if dry { 0.0 } else { sure * oven.condensing(p, vapour_pa, surface_pa) };
                part.around.air_vapour_pa[lane] = vapour_pa;
            }
            self.next_c[lane] = air_c;
        }
    }

    /// Steam about the cover of a pan, which comes to the oven's heat but never past the boil.
    #[inline(always)]
    fn steam_covered(&mut self, lanes: Range<usize>, oven: &SteamOven, pan: &Vessel) {
        let boil_c = self.case.boil_c;
        let time_s = self.stored(lanes.start, pan) / (self.case.model.p.steam.covered * pan.outside_m2);
        self.tend(lanes, time_s, |pot_k| f64::min(oven.set_c + pot_k, boil_c));
    }

    /// The pit's air, and how its heat and damp meet each piece.
    #[inline(always)]
    fn smoke(
        &mut self,
        lanes: Range<usize>,
        pit: &Pit,
        wrap: Option<(Wrapping, f64)>,
        start_s: f64,
        parts: &mut [PartState<L>],
    ) {
        let p = &self.case.model.p;
        let air_c = self.by_clock(lanes.clone(), start_s, |since_s| pit.air_c(p, since_s + self.step_s));
        let mopped = match pit.mop {
            Some(_) => self.by_clock(lanes.clone(), start_s, |since_s| pit.mopped(since_s, self.step_s)),
            None => [false; L],
        };
        for part in parts.iter_mut() {
            if let Some((material, at_core_c)) = wrap {
                for lane in lanes.clone() {
                    if part.bodies.celsius[0][lane] >= at_core_c && !part.wrapped[lane] {
                        part.wrapped[lane] = true;
                        part.rewrap(p, lane, Some(material));
                    }
                }
            }
            for lane in lanes.clone() {
                part.film[lane] =
                    if mopped[lane] && !part.wrapped[lane] { p.pit.mop_kg_per_m2 } else { part.film[lane] };
                let dry = part.film[lane] <= 0.0 && part.is_dry(lane);
                let wetness = if dry {
                    0.0
                } else {
                    pit.wetness(&p.pit, part.gone[lane], part.film[lane], self.kitchens.wetness[lane])
                };
                let h = p.surface.pit * self.kitchens.coefficient[lane] * part.cover.heat[lane];
                part.around.coefficient[lane] = h;
                part.around.evaporation[lane] = h * wetness * part.cover.vapour[lane] / pit.psychrometric;
            }
        }
        for lane in lanes {
            self.next_c[lane] = pit.beside(air_c[lane], self.kitchens.pit_k[lane]);
        }
    }

    /// Liquid added in this step cools or warms the pot at once.
    #[inline(never)]
    fn pour(&mut self, lane: usize, start_s: f64, stage: &Stage) {
        // In a pit, a bag or under fat there is nothing to pour into: it waits for the pot.
        if !stage.medium.is_pot() {
            return;
        }
        let due = |pour: usize| self.case.added.get(pour).filter(|pour| pour.at_s < start_s + self.step_s).copied();
        while let Some(pour) = due(self.poured[lane]) {
            self.poured[lane] += 1;
            let there = stage.vessel.heat_capacity(&self.case.model.p) + self.water_kg[lane] * WATER_SPECIFIC_HEAT;
            let new = pour.litres * WATER_SPECIFIC_HEAT;
            self.celsius[lane] = (there * self.celsius[lane] + new * pour.celsius) / (there + new);
            self.poured_l[lane] += pour.litres;
            self.water_kg[lane] += pour.litres;
            self.most_steam_kg[lane] += pour.litres;
            self.fresh[lane] = true;
        }
    }
}

/// What the medium's heat meets at the meat of each cook, W/K.
#[inline(always)]
fn conductances<const L: usize>(parts: &[PartState<L>]) -> [f64; L] {
    let mut all = [0.0; L];
    for part in parts {
        for (lane, sum) in all.iter_mut().enumerate() {
            *sum += part.conductance(lane);
        }
    }
    all
}

/// The outermost shell of each cook's meat, by its share of the surface, °C.
#[inline(always)]
fn outermost<const L: usize>(parts: &[PartState<L>]) -> [f64; L] {
    if let [only] = parts {
        return only.bodies.celsius[SHELLS - 1];
    }
    let (mut heat, mut all) = ([0.0; L], [0.0; L]);
    for part in parts {
        for lane in 0..L {
            let conductance = part.conductance(lane);
            heat[lane] += conductance * part.bodies.celsius[SHELLS - 1][lane];
            all[lane] += conductance;
        }
    }
    std::array::from_fn(|lane| heat[lane] / all[lane])
}
