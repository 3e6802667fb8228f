//! `L` cooks' surroundings: the medium of the stage each is in, its liquid and its steam.

use super::chain::ChainRun;
use super::come_up::rise_s;
use super::lanes::{LONG_STEP_S, PressureHolds, STEP_S, on_long_grid};
use super::part::PartState;
use crate::case::{Case, End, Stage};
use crate::medium::{Cooling, Medium};
use crate::members::Member;
use crate::places::{FRIDGE_C, ICE_WATER_C};
use crate::pressure::Phase;
use crate::vessel::close;

/// What is uncertain about the cooks' kitchens, side by side.
pub(super) struct Kitchens<const L: usize> {
    pub(super) coefficient: [f64; L],
    pub(super) wetness: [f64; L],
    pub(super) lid: [f64; L],
    pub(super) oven_k: [f64; L],
    pub(super) pot_k: [f64; L],
    pub(super) pit_k: [f64; L],
}

impl<const L: usize> Kitchens<L> {
    fn of(members: &[Member; L]) -> Self {
        Self {
            coefficient: members.map(|member| member.coefficient),
            wetness: members.map(|member| member.wetness),
            lid: members.map(|member| member.lid),
            oven_k: members.map(|member| member.oven_k),
            pot_k: members.map(|member| member.pot_k),
            pit_k: members.map(|member| member.pit_k),
        }
    }
}

/// Pots whose temperature is closed by their balance once the meat's heat is known.
pub(super) struct Open<const L: usize> {
    pub(super) waits: [bool; L],
    pub(super) oven_c: [f64; L],
    pub(super) heat_capacity: [f64; L],
    pub(super) conductance: [f64; L],
}

/// `L` cooks' surroundings.
pub struct Surround<'a, const L: usize> {
    pub(super) case: &'a Case,
    /// Whether any stage has a pot, whose liquid the juice joins.
    in_pot: bool,
    pub(super) kitchens: Kitchens<L>,
    pub(super) holds: PressureHolds<L>,
    /// Length of the step, s.
    pub(super) step_s: f64,
    /// How far the hob brings a pot in it, as a share.
    pub(super) rise: f64,
    pub(super) slow_cooker_fill: f64,
    /// Which stage each is in.
    pub chain: ChainRun<'a, L>,
    /// Liquid, fat or air, °C.
    pub celsius: [f64; L],
    /// The same at the step's end.
    pub next_c: [f64; L],
    pub(super) open: Open<L>,
    pub(super) phase: [Phase; L],
    /// Pressure was reached, s from closing the lid.
    pub came_up_s: [f64; L],
    /// The pressure pot could be opened in this step, s.
    pub opened_s: [Option<f64>; L],
    /// Poured into the pot so far, L.
    pub poured_l: [f64; L],
    /// What softening vegetables and the like have given so far, L.
    pub larder_l: f64,
    /// Left as steam, kg.
    pub steam_kg: [f64; L],
    /// In the pot when last looked at, kg.
    pub water_kg: [f64; L],
    /// All that could have left as steam by then, kg: what was poured, and the juice.
    pub(super) most_steam_kg: [f64; L],
    /// Whether what leaves the meat stays with it.
    pub collects: [bool; L],
    juice_before_kg: [f64; L],
    pub(super) simmered: [bool; L],
    pub(super) loss: [f64; L],
    pub(super) poured: [usize; L],
    pub(super) fresh: [bool; L],
}

impl<'a, const L: usize> Surround<'a, L> {
    pub(super) fn new(case: &'a Case, members: &'a [Member; L], holds: PressureHolds<L>) -> Self {
        let fill = (case.packing.meat_m3 + case.liquid_l / 1000.0) / case.first().vessel.volume_m3();
        let mut surround = Self {
            case,
            in_pot: case.stages.iter().any(|stage| stage.medium.is_pot()),
            kitchens: Kitchens::of(members),
            holds,
            step_s: STEP_S,
            rise: 0.0,
            slow_cooker_fill: (case.model.p.crock.empty + case.model.p.crock.filling * fill).clamp(0.8, 1.5),
            chain: ChainRun::new(case),
            celsius: [case.start_c; L],
            next_c: [case.start_c; L],
            open: Open { waits: [false; L], oven_c: [0.0; L], heat_capacity: [1.0; L], conductance: [0.0; L] },
            phase: [Phase::ComingUp; L],
            came_up_s: [f64::INFINITY; L],
            opened_s: [None; L],
            poured_l: [0.0; L],
            larder_l: 0.0,
            steam_kg: [0.0; L],
            water_kg: [0.0; L],
            most_steam_kg: [f64::INFINITY; L],
            collects: [false; L],
            juice_before_kg: [0.0; L],
            simmered: [false; L],
            loss: [0.0; L],
            poured: [0; L],
            fresh: [true; L],
        };
        for lane in 0..L {
            surround.enter(lane, 0, 0.0, None, 0.0);
        }
        surround
    }

    /// A cook goes on to a stage.
    #[inline(never)]
    fn enter(&mut self, lane: usize, stage: usize, now_s: f64, before: Option<&Stage>, juice_kg: f64) {
        self.chain.enter(lane, stage, now_s, before);
        let (medium, before) = (&self.case.stages[stage].medium, before.map(|before| &before.medium));
        self.opened_s[lane] = None;
        self.fresh[lane] = true;
        let in_liquid = |medium: &Medium| {
            medium.is_pot() || matches!(medium, Medium::Chill { cooling: Cooling::InLiquid | Cooling::InAir })
        };
        let was_in_liquid = before.is_some_and(in_liquid);
        if !self.collects[lane] {
            self.juice_before_kg[lane] = juice_kg;
        }
        self.collects[lane] = !matches!(medium, Medium::Pit { .. } | Medium::Chill { cooling: Cooling::OnTray });
        let stands = matches!(medium, Medium::Chill { cooling: Cooling::InAir });
        if matches!(medium, Medium::Chill { .. }) {
            self.simmered[lane] = false;
        }
        if let Medium::Pressure { .. } = medium {
            self.phase[lane] = Phase::ComingUp;
        }
        match medium {
            _ if stands || in_liquid(medium) && was_in_liquid => {}
            _ if in_liquid(medium) => {
                // What was cooked under fat cools in that fat.
                if !matches!((before, medium), (Some(Medium::Fat { .. }), Medium::Chill { .. })) {
                    self.celsius[lane] = self.case.liquid_start_c;
                }
                // The liquid waits until the meat comes to it.
                if self.poured_l[lane] == 0.0 {
                    self.poured_l[lane] = self.case.liquid_l;
                    self.water_kg[lane] = self.case.liquid_l;
                    self.most_steam_kg[lane] = self.case.liquid_l;
                }
            }
            Medium::Fat { .. }
                if !matches!(before, Some(Medium::Fat { .. } | Medium::Chill { cooling: Cooling::InAir })) =>
            {
                self.celsius[lane] = self.case.liquid_start_c;
            }
            Medium::Bath { bath_c } => self.celsius[lane] = *bath_c,
            Medium::Pit { pit, .. } => {
                self.celsius[lane] = pit
                    .beside(pit.air_c(&self.case.model.p, now_s - self.chain.since_s[lane]), self.kitchens.pit_k[lane]);
            }
            Medium::Chill { cooling: Cooling::InBag } => self.celsius[lane] = ICE_WATER_C,
            Medium::Chill { cooling: Cooling::OnTray } => self.celsius[lane] = FRIDGE_C,
            _ => {}
        }
    }

    /// Sets the length of the steps to come, s.
    pub(super) fn step_by(&mut self, step_s: f64) {
        self.step_s = step_s;
        self.rise = 1.0 - (-step_s / rise_s(self.case)).exp();
    }

    /// Works out where each medium goes in this step and what the meat's surface meets.
    #[inline(always)]
    pub(super) fn before(&mut self, start_s: f64, parts: &mut [PartState<L>]) {
        // How deep the meat lies and how much steam leaves change slowly.
        let slow = on_long_grid(start_s);
        if slow && self.in_pot {
            self.gather_juice(start_s, parts);
        }
        for lane in 0..L {
            if slow || self.fresh[lane] {
                self.refresh(lane, parts);
            }
        }
        for lane in 0..L {
            self.steam_kg[lane] += self.loss[lane] * self.step_s;
        }
        if self.chain.together {
            let stage = self.chain.at(0);
            self.advance(0..L, stage, start_s, parts);
        } else {
            for lane in 0..L {
                let stage = self.chain.at(lane);
                self.advance(lane..lane + 1, stage, start_s, parts);
            }
        }
        let wet = (0..L).any(|lane| self.chain.at(lane).medium.is_air());
        for part in parts.iter_mut() {
            part.around.from_c = self.celsius;
            part.around.to_c = self.next_c;
            part.around.wet = wet;
        }
    }

    /// The juice that came since the last look, and what water that leaves in the pot.
    #[inline(always)]
    fn gather_juice(&mut self, now_s: f64, parts: &mut [PartState<L>]) {
        if now_s > 0.0 {
            for part in parts.iter_mut() {
                part.give_juice(&self.case.model.p.juice, LONG_STEP_S);
            }
        }
        if self.case.stages[self.chain.stage[0]].medium.is_pot() {
            let softened = 1.0 - (-now_s / self.case.model.p.pot.larder_s).exp();
            self.larder_l = self.case.larder_water_l * softened;
        }
        for lane in 0..L {
            let juice_kg: f64 = parts.iter().map(|part| part.juice_kg[lane]).sum();
            let there = self.poured_l[lane] + self.larder_l + juice_kg - self.juice_before_kg[lane];
            self.most_steam_kg[lane] = there;
            self.steam_kg[lane] = f64::min(self.steam_kg[lane], there);
            self.water_kg[lane] = there - self.steam_kg[lane];
        }
    }

    /// Closes the balances once the meat's heat is known.
    #[inline(always)]
    pub(super) fn after(&mut self, parts: &[PartState<L>]) {
        if self.open.waits.contains(&true) {
            let mut heat = [0.0; L];
            for part in parts {
                for lane in 0..L {
                    heat[lane] += part.bodies.heat_in[lane] * part.area_m2[lane];
                }
            }
            for lane in 0..L {
                let open = &self.open;
                let now_c = self.celsius[lane];
                let income =
                    |mean_c: f64| self.step_s * open.conductance[lane] * (open.oven_c[lane] - mean_c) - heat[lane];
                let (closed_c, steam) = close(income, open.heat_capacity[lane], now_c, self.next_c[lane]);
                self.next_c[lane] = if open.waits[lane] { closed_c } else { self.next_c[lane] };
                self.steam_kg[lane] += if open.waits[lane] { steam } else { 0.0 };
            }
        }
        if self.in_pot {
            for lane in 0..L {
                self.steam_kg[lane] = f64::min(self.steam_kg[lane], self.most_steam_kg[lane]);
            }
        }
        self.celsius = self.next_c;
    }

    /// Moves on those whose stage has ended by the step's end.
    #[inline(always)]
    pub(super) fn move_on(&mut self, end_s: f64, parts: &[PartState<L>]) {
        for lane in 0..L {
            let end = self.chain.at(lane).end;
            if end == End::Stays || self.chain.over[lane] {
                continue;
            }
            if self.chain.has_ended(lane, end_s, self.phase[lane] == Phase::Open, parts) {
                let stage = self.chain.stage[lane];
                // A lid is opened at its second, everything else is done at the end of a step.
                let ended_s = self.opened_s[lane].filter(|_| end == End::Opened).unwrap_or(end_s);
                self.chain.ended_s[stage][lane] = ended_s;
                if self.chain.last(lane) {
                    self.chain.over[lane] = true;
                } else {
                    let juice_kg = parts.iter().map(|part| part.juice_kg[lane]).sum();
                    self.enter(lane, stage + 1, end_s, Some(&self.case.stages[stage]), juice_kg);
                }
            }
        }
    }

    /// Whether a cook whose chain is over gets no more heat: the pot is open, or in the cold.
    #[inline(always)]
    pub(super) fn cold(&self, lane: usize) -> bool {
        matches!(self.chain.at(lane).medium, Medium::Pressure { .. } | Medium::Chill { .. })
    }

    /// Whether a pressure pot is still to be opened: what is in it can't be had before, however soft.
    #[inline(always)]
    pub(super) fn shut(&self, lane: usize) -> bool {
        let last = self.chain.last(lane);
        match self.chain.at(lane) {
            Stage { end: End::Opened, medium: Medium::Pressure { hold_s, .. }, .. } => {
                let lets_go = hold_s.unwrap_or(self.holds.solved_s[lane]).is_finite();
                lets_go && !self.chain.over[lane] && !(self.holds.stays_on && last)
            }
            _ => false,
        }
    }

    /// Whether the first cook's pot gives off what juice it gets at once, and has nothing else.
    pub fn has_run_dry(&self) -> bool {
        self.in_pot && !self.chain.at(0).medium.is_air() && self.steam_kg[0] >= self.most_steam_kg[0]
    }

    /// The air of the oven or pit, °C; the medium itself where there is none. An oven is at its dial while its pot still comes to a simmer
    /// on the hob.
    #[inline(always)]
    pub fn air_c(&self, lane: usize) -> f64 {
        match self.case.stages[self.chain.stage[lane]].medium {
            _ if self.open.waits[lane] => self.open.oven_c[lane],
            Medium::Oven { set_c, .. } => set_c + self.kitchens.oven_k[lane],
            _ => self.celsius[lane],
        }
    }

    /// Where the first cook's juices go.
    pub fn keeps_juice(&self) -> bool {
        self.collects[0]
    }
}
