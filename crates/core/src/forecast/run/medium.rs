//! What surrounds the meat, step by step: `L` cooks' pots, pits and baths, each at its own stage of the chain.

use super::part::PartState;
use super::{Holds, STEP_S, come_up::rise_s};
use crate::forecast::members::Member;
use crate::forecast::request::{Settings, Start};
use crate::forecast::resolve::{Case, Cooling, End, Medium, Stage};
use crate::heat::conduction::SHELLS;
use crate::heat::pit::MOP_KG_PER_M2;
use crate::heat::pot::{Balance, Lid, Simmer, WATER_SPECIFIC_HEAT};
use crate::heat::pressure::{LEAST_LITRES, PRESSURE_COEFFICIENT, Phase, Pressed, PressureStep, SEAL_LOSS, follow};
use crate::units::HOUR_S;

/// Simmering liquid to meat, W/(m² K). Working value.
const LIQUID_COEFFICIENT: f64 = 300.0;
/// Steam over the liquid in a covered pot to meat, W/(m² K). Working value.
const STEAM_COEFFICIENT: f64 = 60.0;
/// Moist air over the liquid in an open pot to meat, W/(m² K). Working value.
const OPEN_COEFFICIENT: f64 = 18.0;
/// Fat to meat, W/(m² K). Working value.
const FAT_COEFFICIENT: f64 = 150.0;
/// Moving water to a bag, W/(m² K). Working value.
const BATH_COEFFICIENT: f64 = 200.0;
/// Cooling liquid to meat, W/(m² K). Working value.
const COOLING_COEFFICIENT: f64 = 150.0;
/// Air of a fridge to meat on a tray, W/(m² K). Working value.
const FRIDGE_COEFFICIENT: f64 = 12.0;
/// A fridge, °C.
const FRIDGE_C: f64 = 4.0;
/// Ice water, °C.
const ICE_WATER_C: f64 = 1.0;
/// Time constant of liquid cooled shallow over ice water, s: 57 to 21 °C in a little over an hour. Working value.
const SHALLOW_COOLING_S: f64 = 3600.0;
/// Time constant of a pot kept warm, s. Working value.
const KEEP_WARM_S: f64 = 1.5 * HOUR_S;
/// Time constant of an oven that warms up with the pot in it, s. Working value.
const COLD_OVEN_S: f64 = 900.0;
/// A simmer counts as reached this close under the boil, K: gentle bubbles.
pub const SIMMER_REACHED_K: f64 = 4.5;
/// Spread of a bath's temperature against that of a pot. Working value: a circulator holds to some tenths.
const BATH_STEADINESS: f64 = 0.1;
/// Steps between looks at how deep the meat lies and how much steam leaves: both change slowly.
const SLOW_STEPS: usize = 5;

/// A slow cooker's end temperature in °C and time constant in s, half full. Practice.
fn slow_cooker(setting: Settings) -> (f64, f64) {
    match setting {
        Settings::Low => (92.0, 1.8 * HOUR_S),
        Settings::High => (97.0, 1.1 * HOUR_S),
    }
}

/// `L` cooks' surroundings.
pub struct Surround<'a, const L: usize> {
    case: &'a Case,
    members: &'a [Member; L],
    holds: Holds<L>,
    rise: f64,
    slow_cooker_fill: f64,
    /// Stage each is in.
    pub stage: [usize; L],
    entered_s: [f64; L],
    since_s: [f64; L],
    /// Liquid, fat or air, °C.
    pub celsius: [f64; L],
    /// The same at the step's end.
    pub next_c: [f64; L],
    balance: [Option<Balance>; L],
    pub(super) phase: [Phase; L],
    /// Pressure was reached, s from closing the lid.
    pub came_up_s: [f64; L],
    /// The pressure pot could be opened in this step, s.
    pub opened_s: [Option<f64>; L],
    /// Poured into the pot so far, L.
    pub poured_l: [f64; L],
    /// Left as steam, kg.
    pub steam_kg: [f64; L],
    /// In the pot, kg.
    pub water_kg: [f64; L],
    /// Whether what leaves the meat stays with it.
    pub collects: [bool; L],
    juice_before_kg: [f64; L],
    simmered: [bool; L],
    loss: [f64; L],
    poured: [usize; L],
    fresh: [bool; L],
    /// Chain at its end.
    pub over: [bool; L],
    /// When each stage ended, `[stage][lane]`, s.
    pub ended_s: Vec<[f64; L]>,
}

impl<'a, const L: usize> Surround<'a, L> {
    pub(super) fn new(case: &'a Case, members: &'a [Member; L], holds: Holds<L>) -> Self {
        let fill = (case.packing.meat_m3 + case.liquid_l / 1000.0) / case.pot().volume_m3();
        let mut surround = Self {
            case,
            members,
            holds,
            rise: 1.0 - (-STEP_S / rise_s(case)).exp(),
            slow_cooker_fill: (0.7 + 0.9 * fill).clamp(0.8, 1.5),
            stage: [0; L],
            entered_s: [0.0; L],
            since_s: [0.0; L],
            celsius: [case.start_c; L],
            next_c: [case.start_c; L],
            balance: [None; L],
            phase: [Phase::ComingUp; L],
            came_up_s: [f64::INFINITY; L],
            opened_s: [None; L],
            poured_l: [0.0; L],
            steam_kg: [0.0; L],
            water_kg: [0.0; L],
            collects: [false; L],
            juice_before_kg: [0.0; L],
            simmered: [false; L],
            loss: [0.0; L],
            poured: [0; L],
            fresh: [true; L],
            over: [false; L],
            ended_s: vec![[f64::INFINITY; L]; case.stages.len()],
        };
        for lane in 0..L {
            surround.enter(lane, 0, 0.0, None, 0.0);
        }
        surround
    }

    #[inline(always)]
    fn at(&self, lane: usize) -> &'a Stage {
        &self.case.stages[self.stage[lane]]
    }

    /// A cook goes on to a stage.
    #[inline(never)]
    fn enter(&mut self, lane: usize, stage: usize, now_s: f64, before: Option<&Medium>, juice_kg: f64) {
        let medium = &self.case.stages[stage].medium;
        self.stage[lane] = stage;
        self.entered_s[lane] = now_s;
        self.opened_s[lane] = None;
        self.fresh[lane] = true;
        if !before.is_some_and(|before| before.same_kind(medium)) {
            self.since_s[lane] = now_s;
        }
        let in_liquid =
            |medium: &Medium| medium.is_pot() || matches!(medium, Medium::Chill { cooling: Cooling::InLiquid });
        let was_in_liquid = before.is_some_and(in_liquid);
        if !self.collects[lane] {
            self.juice_before_kg[lane] = juice_kg;
        }
        self.collects[lane] = !matches!(medium, Medium::Pit { .. } | Medium::Chill { cooling: Cooling::OnTray });
        if matches!(medium, Medium::Chill { .. }) {
            self.simmered[lane] = false;
        }
        if let Medium::Pressure { .. } = medium {
            self.phase[lane] = Phase::ComingUp;
        }
        match medium {
            _ if in_liquid(medium) => {
                if !was_in_liquid {
                    self.celsius[lane] = self.case.liquid_start_c;
                    // The liquid waits until the meat comes to it.
                    if self.poured_l[lane] == 0.0 {
                        self.poured_l[lane] = self.case.liquid_l;
                        self.water_kg[lane] = self.case.liquid_l;
                    }
                }
            }
            Medium::Fat { .. } if !matches!(before, Some(Medium::Fat { .. })) => {
                self.celsius[lane] = self.case.liquid_start_c;
            }
            Medium::Bath { bath_c } => self.celsius[lane] = *bath_c,
            Medium::Pit { pit, .. } => {
                self.celsius[lane] = pit.air_c(now_s - self.since_s[lane], self.members[lane].pit_k);
            }
            Medium::Chill { cooling: Cooling::InBag } => self.celsius[lane] = ICE_WATER_C,
            Medium::Chill { cooling: Cooling::OnTray } => self.celsius[lane] = FRIDGE_C,
            _ => {}
        }
    }

    /// Works out where each medium goes in this step and what the meat's surface meets.
    #[inline(always)]
    pub(super) fn before(&mut self, step: usize, parts: &mut [PartState<L>]) {
        let start_s = step as f64 * STEP_S;
        let slow = step % SLOW_STEPS == 0;
        if slow {
            for part in parts.iter_mut() {
                if step > 0 {
                    part.give_juice(SLOW_STEPS as f64 * STEP_S);
                }
            }
            for lane in 0..L {
                let juice_kg: f64 = parts.iter().map(|part| part.juice_kg[lane]).sum();
                let there = self.poured_l[lane] + juice_kg - self.juice_before_kg[lane];
                self.steam_kg[lane] = f64::min(self.steam_kg[lane], there);
                self.water_kg[lane] = there - self.steam_kg[lane];
            }
        }
        for lane in 0..L {
            if slow || self.fresh[lane] {
                self.refresh(lane, parts);
            }
            self.steam_kg[lane] += self.loss[lane] * STEP_S;
            self.next_c[lane] = self.advance(lane, start_s, parts);
        }
        let wet = (0..L).any(|lane| matches!(self.at(lane).medium, Medium::Pit { .. }));
        for part in parts.iter_mut() {
            part.around.from_c = self.celsius;
            part.around.to_c = self.next_c;
            part.around.wet = wet;
        }
    }

    /// What changes slowly: the share under liquid, and the steam that leaves a held pot.
    #[inline(always)]
    fn refresh(&mut self, lane: usize, parts: &mut [PartState<L>]) {
        self.fresh[lane] = false;
        let stage = self.at(lane);
        let member = &self.members[lane];
        let (pot, lid, celsius) = (&stage.pot, member.lid, self.celsius[lane]);
        let still = pot.diffusion(celsius, lid, false);
        self.loss[lane] = match stage.medium {
            Medium::Hob { simmer } => pot.hob_loss(simmer, celsius, lid),
            Medium::Reheat { .. } => pot.hob_loss(Simmer::Gentle, celsius, lid),
            Medium::Oven { start: Start::Hob, .. } | Medium::Coals(_) if !self.simmered[lane] => {
                pot.hob_loss(Simmer::Gentle, celsius, lid)
            }
            Medium::SlowCooker { .. } | Medium::KeepWarm { .. } => still,
            Medium::Pressure { .. } => SEAL_LOSS,
            _ => 0.0,
        };
        let under = self.case.packing.submerged(self.water_kg[lane]);
        let over = if pot.lid == Lid::None { OPEN_COEFFICIENT } else { STEAM_COEFFICIENT };
        let coefficient = member.coefficient
            * match stage.medium {
                Medium::Pressure { .. } => PRESSURE_COEFFICIENT,
                Medium::Fat { .. } => FAT_COEFFICIENT,
                Medium::Bath { .. } | Medium::Chill { cooling: Cooling::InBag } => BATH_COEFFICIENT,
                Medium::Chill { cooling: Cooling::InLiquid } => COOLING_COEFFICIENT,
                Medium::Chill { cooling: Cooling::OnTray } => FRIDGE_COEFFICIENT,
                _ => under * LIQUID_COEFFICIENT + (1.0 - under) * over,
            };
        for part in parts.iter_mut() {
            part.around.coefficient[lane] = coefficient;
            part.around.evaporation[lane] = 0.0;
        }
    }

    /// Where one cook's medium stands at the end of the step, as far as it is known before the meat's heat is.
    #[inline(always)]
    fn advance(&mut self, lane: usize, start_s: f64, parts: &mut [PartState<L>]) -> f64 {
        let stage = self.at(lane);
        let member = &self.members[lane];
        let boil_c = self.case.boil_c;
        self.balance[lane] = None;
        if self.poured[lane] < self.case.added.len() {
            self.pour(lane, start_s, stage);
        }
        let celsius = self.celsius[lane];
        let rises_to = |target: f64| celsius + (target - celsius) * self.rise;
        let since_s = start_s - self.since_s[lane];
        match stage.medium {
            Medium::Hob { simmer } => {
                // The cook holds the simmer by eye: the medium follows the word.
                rises_to(f64::min(boil_c, boil_c - simmer.below_boil() + member.pot_k))
            }
            Medium::Reheat { .. } => rises_to(f64::min(boil_c, boil_c - Simmer::Gentle.below_boil() + member.pot_k)),
            Medium::Oven { start: Start::Hob, .. } | Medium::Coals(_) if !self.simmered[lane] => {
                let next = rises_to(boil_c);
                if next >= boil_c - SIMMER_REACHED_K {
                    self.simmered[lane] = true;
                    self.fresh[lane] = true;
                }
                next
            }
            Medium::Oven { set_c, fan, start } => {
                let oven_c = match start {
                    Start::ColdOven => set_c - (set_c - 20.0) * (-(since_s + 0.5 * STEP_S) / COLD_OVEN_S).exp(),
                    _ => set_c,
                };
                self.predict(lane, oven_c + member.oven_k, fan, parts)
            }
            Medium::Coals(coals) => {
                self.predict(lane, coals.oven_c(since_s + 0.5 * STEP_S) + member.oven_k, false, parts)
            }
            Medium::Pressure { target_c, hold_s, quick, power_w, .. } => {
                let pot = &stage.pot;
                self.opened_s[lane] = None;
                // Too little liquid boils away before pressure builds: it stays at the local boil, with the lid on.
                let comes_up = self.case.liquid_l >= LEAST_LITRES || self.water_kg[lane] >= LEAST_LITRES;
                if !comes_up {
                    return rises_to(boil_c);
                }
                let last = self.stage[lane] + 1 == self.case.stages.len();
                let held_s = hold_s.filter(|_| !(self.holds.stays_on && last));
                let pressed: Pressed = follow(
                    pot,
                    &PressureStep {
                        start_s,
                        step_s: STEP_S,
                        target_c: target_c + member.pot_k,
                        boil_c,
                        hold_s: held_s.unwrap_or(self.holds.solved_s[lane]),
                        quick,
                        power_w,
                        heat_capacity: pot.heat_capacity() + self.water_kg[lane] * WATER_SPECIFIC_HEAT,
                        meat_conductance: parts.iter().map(|part| part.conductance(lane)).sum(),
                        meat_c: outermost_c(lane, parts),
                    },
                    celsius,
                    self.phase[lane],
                );
                self.phase[lane] = pressed.phase;
                if let Some(at_s) = pressed.came_up_s {
                    self.came_up_s[lane] = at_s - self.entered_s[lane];
                }
                self.opened_s[lane] = pressed.opened_s;
                self.steam_kg[lane] += pressed.flashed_kg;
                pressed.celsius
            }
            Medium::SlowCooker { setting } => {
                let (end_c, time_s) = slow_cooker(setting);
                let target = f64::min(end_c, boil_c - 1.0) + member.pot_k;
                celsius + (target - celsius) * (1.0 - (-STEP_S / (time_s * self.slow_cooker_fill)).exp())
            }
            Medium::KeepWarm { at_c } => {
                celsius + (at_c + member.pot_k - celsius) * (1.0 - (-STEP_S / KEEP_WARM_S).exp())
            }
            Medium::Bath { bath_c } => bath_c + BATH_STEADINESS * member.pot_k,
            Medium::Fat { fat_c } => rises_to(fat_c + member.pot_k),
            Medium::Chill { cooling: Cooling::InLiquid } => {
                celsius + (FRIDGE_C - celsius) * (1.0 - (-STEP_S / SHALLOW_COOLING_S).exp())
            }
            Medium::Chill { cooling: Cooling::InBag } => ICE_WATER_C,
            Medium::Chill { cooling: Cooling::OnTray } => FRIDGE_C,
            Medium::Pit { pit, wrap } => {
                let mopped = pit.mopped(since_s, STEP_S);
                for part in parts.iter_mut() {
                    part.wrap[lane] = match (wrap, part.wrap[lane]) {
                        (Some((material, at_core_c)), None) if part.bodies.celsius[0][lane] >= at_core_c => {
                            Some(material)
                        }
                        (Some((material, _)), Some(_)) => Some(material),
                        _ => None,
                    };
                    if mopped && part.wrap[lane].is_none() {
                        part.film[lane] = MOP_KG_PER_M2;
                    }
                    let (h, e) = pit.surface(
                        part.gone[lane],
                        part.film[lane],
                        part.wrap[lane],
                        member.coefficient,
                        member.wetness,
                    );
                    part.around.coefficient[lane] = h;
                    part.around.evaporation[lane] = e;
                }
                pit.air_c(since_s + STEP_S, member.pit_k)
            }
        }
    }

    /// The pot's own balance of heat: oven or coals in, steam and meat out.
    #[inline(always)]
    fn predict(&mut self, lane: usize, oven_c: f64, fan: bool, parts: &[PartState<L>]) -> f64 {
        let pot = &self.at(lane).pot;
        let now = Balance {
            step_s: STEP_S,
            celsius: self.celsius[lane],
            oven_c,
            boil_c: self.case.boil_c,
            heat_capacity: pot.heat_capacity() + self.water_kg[lane] * WATER_SPECIFIC_HEAT,
            conductance: pot.oven_conductance(fan),
            meat_conductance: parts.iter().map(|part| part.conductance(lane)).sum(),
            meat_c: outermost_c(lane, parts),
            lid_factor: self.members[lane].lid,
            fan,
        };
        self.balance[lane] = Some(now);
        pot.predict(&now)
    }

    /// Liquid added in this step cools or warms the pot at once.
    #[inline(never)]
    fn pour(&mut self, lane: usize, start_s: f64, stage: &Stage) {
        let due = |pour: usize| self.case.added.get(pour).filter(|pour| pour.at_s < start_s + STEP_S).copied();
        while let Some(pour) = due(self.poured[lane]) {
            self.poured[lane] += 1;
            if stage.medium.is_pot() {
                let there = stage.pot.heat_capacity() + self.water_kg[lane] * WATER_SPECIFIC_HEAT;
                let new = pour.litres * WATER_SPECIFIC_HEAT;
                self.celsius[lane] = (there * self.celsius[lane] + new * pour.celsius) / (there + new);
                self.poured_l[lane] += pour.litres;
                self.water_kg[lane] += pour.litres;
                self.fresh[lane] = true;
            }
        }
    }

    /// Closes the balances once the meat's heat is known.
    #[inline(always)]
    pub(super) fn after(&mut self, parts: &[PartState<L>]) {
        for lane in 0..L {
            if let Some(now) = &self.balance[lane] {
                let heat: f64 = parts.iter().map(|part| part.bodies.heat_in[lane] * part.area_m2[lane]).sum();
                let (closed_c, steam) = self.at(lane).pot.close(now, self.next_c[lane], heat);
                self.next_c[lane] = closed_c;
                self.steam_kg[lane] += steam;
            }
        }
        self.celsius = self.next_c;
    }

    /// Moves on those whose stage has ended by the step's end.
    #[inline(always)]
    pub(super) fn move_on(&mut self, end_s: f64, parts: &[PartState<L>]) {
        for lane in 0..L {
            let end = self.at(lane).end;
            if end == End::Stays || self.over[lane] {
                continue;
            }
            let core = |holds: &dyn Fn(f64) -> bool| parts.iter().all(|part| holds(part.bodies.celsius[0][lane]));
            let ended = match end {
                End::Stays => false,
                End::After(seconds) => end_s - self.entered_s[lane] >= seconds - 0.5 * STEP_S,
                End::Warm(to_c) => core(&|c| c >= to_c),
                End::Cold(to_c) => core(&|c| c <= to_c),
                End::Tender => parts.iter().all(|part| part.times[lane].ready_s.is_finite()),
                End::Opened => self.phase[lane] == Phase::Open,
            };
            if ended {
                let stage = self.stage[lane];
                // A lid is opened at its second, everything else is done at the end of a step.
                self.ended_s[stage][lane] = self.opened_s[lane].filter(|_| end == End::Opened).unwrap_or(end_s);
                if stage + 1 == self.case.stages.len() {
                    self.over[lane] = true;
                } else {
                    let juice_kg = parts.iter().map(|part| part.juice_kg[lane]).sum();
                    self.enter(lane, stage + 1, end_s, Some(&self.case.stages[stage].medium), juice_kg);
                }
            }
        }
    }
}

impl<const L: usize> Surround<'_, L> {
    /// Whether a cook whose chain is over gets no more heat: the pot is open, or in the cold.
    #[inline(always)]
    pub(super) fn cold(&self, lane: usize) -> bool {
        matches!(self.at(lane).medium, Medium::Pressure { .. } | Medium::Chill { .. })
    }

    /// Where the first cook's juices go.
    pub fn keeps_juice(&self) -> bool {
        self.collects[0]
    }
}

/// The outermost shell of the meat, by its share of the surface, °C.
#[inline(always)]
fn outermost_c<const L: usize>(lane: usize, parts: &[PartState<L>]) -> f64 {
    if let [only] = parts {
        return only.bodies.celsius[SHELLS - 1][lane];
    }
    let (mut heat, mut all) = (0.0, 0.0);
    for part in parts {
        let conductance = part.conductance(lane);
        heat += conductance * part.bodies.celsius[SHELLS - 1][lane];
        all += conductance;
    }
    heat / all
}
