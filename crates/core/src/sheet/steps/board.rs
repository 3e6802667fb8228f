//! At the board, hours or days ahead: trimmed, tied, salted, soaked, marinated, and boiled up once for a clear broth.

use ergastic_words::{Guide, Mass, Minutes, Volume, prepare, sheet as say};

use super::step::{Block, Step, Wait, Where, whole};
use crate::bench::{Prepare, Trim};
use crate::kitchen::Lane;
use crate::kitchen::ThingKind;
use crate::safety;
use crate::sheet::tasks::{TaskId, TaskKind};
use crate::sheet::worked::Settled;
use ergastic_schedule::{Give, Minute};

/// From so long ahead on salt seasons more than the surface, h.
const SEASONS_FROM_H: f64 = 3.0;
/// Salted so shortly before the pan it is taken out for it, h. Practice.
const AT_THE_PAN_H: f64 = 0.5;
/// One step at the board waits for the next so long at most, min: a night.
const NEXT_BORNE: Minute = 1440;
/// In the marinade past two days it turns mealy. Published.
const MEALY_MIN: Minute = 2880;
/// What lies in it so long is turned once, min.
const TURNED_FROM_MIN: Minute = 120;
/// What a minute costs that a wait is cut short by. Working values.
const SALT_SHORT: f64 = 0.02;
const SOAK_SHORT: f64 = 0.05;
const TEMPER_SHORT: f64 = 0.01;
/// What the cook has asked for lies a third of its time at the least before the meal comes late rather: less would be no marinade.
const OWN_SHARE: Minute = 3;
/// What it costs that something at the board falls into the night, and that a marinade is turned then. Working values.
const AT_NIGHT: f64 = 6.0;
const TURN_AT_NIGHT: f64 = 0.2;

/// What waits between the last of these and the pan.
pub(super) fn board(worked: &Settled, pan: TaskId) -> Vec<Block> {
    let mut laid = Board { blocks: Vec::new(), ahead: Vec::new(), beside: Vec::new() };
    let bench = &worked.bench;
    laid.knife(worked, bench);
    laid.rinse(bench);
    if bench.brine.is_some() {
        laid.salt(worked, bench, pan, false);
    }
    laid.soak(bench);
    // What is salted at the pan is out and dry before; what a soak or a blanching would wash off goes on after it.
    let late = bench.brine.is_none() && (bench.clear || bench.salt_h <= AT_THE_PAN_H);
    if bench.brine.is_none() && !late {
        laid.salt(worked, bench, pan, false);
    }
    laid.marinade(worked, bench);
    laid.clear(worked, bench);
    laid.take_out(worked, bench, pan);
    if late {
        laid.salt(worked, bench, pan, true);
    }
    laid.chained(pan)
}

/// How one waits for the next: minutes at best and at the least, what a missing one costs, and how many more are borne.
#[derive(Clone, Copy)]
struct WaitAhead {
    ideal: Minute,
    least: Minute,
    under: f64,
    longer: Minute,
}

impl WaitAhead {
    /// Straight on, or so much later.
    const fn straight_on(longer: Minute) -> Self {
        Self { ideal: 0, least: 0, under: 0.0, longer }
    }

    fn wait(self, then: TaskId) -> Wait {
        Wait::until(then, 0.002, self.longer).at_best(self.ideal, self.least, self.under)
    }

    /// Whether it has minutes of its own that may be cut.
    fn gives(self) -> bool {
        self.ideal > self.least
    }
}

/// Blocks in the order of the work; each waits for the next, and some for the pan besides.
struct Board {
    blocks: Vec<Block>,
    /// How each waits for the next.
    ahead: Vec<WaitAhead>,
    /// What has no place in that order.
    beside: Vec<Block>,
}

impl Board {
    fn add(&mut self, step: Step, next: WaitAhead) -> &mut Block {
        let mut block = Block::new(vec![step], Where::Before(Vec::new()));
        block.by_day = Some(AT_NIGHT);
        self.blocks.push(block);
        self.ahead.push(next);
        self.blocks.last_mut().expect("just pushed")
    }

    fn knife(&mut self, worked: &Settled, bench: &Prepare) {
        let (case, next) = (&worked.case, WaitAhead::straight_on(NEXT_BORNE));
        let raw_kg: f64 = case.parts.iter().map(|part| part.mass_kg).sum();
        let trimmed_kg: f64 = case.parts.iter().map(crate::forecast::ResolvedPart::trimmed_kg).sum();
        if bench.trim != Trim::None && raw_kg > trimmed_kg + 0.005 {
            let off = Mass(raw_kg - trimmed_kg);
            let what = if bench.sinew_in_pot { prepare::trim_keep_sinew(off) } else { prepare::trim(off) };
            let said = (what, prepare::trim_why());
            let len = whole(f64::clamp(2.0 + 2.5 * raw_kg, 3.0, 25.0));
            let step = Step::new(TaskId::Trim, TaskKind::Trim, Lane::Board, said, len);
            self.add(step.minding([safety::raw_meat(case.voice)]), next);
        }
        if bench.pierced {
            let said = (say::pierce(), say::pierce_why());
            self.add(Step::new(TaskId::Pierce, TaskKind::Trim, Lane::Board, said, 5), next);
        }
        if bench.strings > 0 {
            let said = (prepare::tie(bench.strings), prepare::tie_why());
            let len = bench.strings.clamp(2, 20) as Minute;
            self.add(Step::new(TaskId::Tie, TaskKind::Trim, Lane::Board, said, len), next);
        }
    }

    fn salt(&mut self, worked: &Settled, bench: &Prepare, pan: TaskId, late: bool) {
        let durations = &worked.durations;
        if durations.salt_g <= 0.5 {
            return;
        }
        let (len, seared) = (whole(durations.salting_min), durations.sear.is_some());
        let salt = |why| {
            let said = (durations.salting.clone(), why);
            Step::new(TaskId::Salt, TaskKind::Salt, Lane::Board, said, len)
        };
        if let Some(brine) = bench.brine {
            let lies = whole(brine.hours * 60.0);
            let ahead = WaitAhead { ideal: lies, least: lies / OWN_SHARE, under: SALT_SHORT, longer: NEXT_BORNE };
            self.add(salt(say::brine_why()), ahead);
            let said = (say::brine_out(), say::brine_out_why());
            let out = Step::new(TaskId::BrineOut, TaskKind::Salt, Lane::Board, said, 3);
            self.add(out.after([TaskId::Salt]), WaitAhead::straight_on(NEXT_BORNE));
            return;
        }
        let why = match (bench.salt_h < SEASONS_FROM_H, seared) {
            _ if worked.case.goes_in_frozen() => say::salt_frozen_why(),
            (true, _) => say::salt_late_why(),
            (false, true) => say::salt_ahead_why(),
            (false, false) => say::salt_ahead_unseared_why(),
        };
        let block = self.add(salt(why), WaitAhead::straight_on(4 * NEXT_BORNE));
        // No time of its own is left: it is done while the pan gets hot.
        block.give = Give::Squeezed(5.0);
        let salt_h = if bench.clear { 0.0 } else { bench.salt_h };
        if late {
            block.by_day = None;
        }
        let ahead = Wait::until(pan, 0.0005, 2 * NEXT_BORNE).at_best(whole(salt_h * 60.0), 0, SALT_SHORT);
        block.place = Where::Before(vec![ahead]);
    }

    fn soak(&mut self, bench: &Prepare) {
        let Some(soak) = bench.soak else { return };
        let each = whole(soak.hours_each * 60.0);
        let ahead = WaitAhead { ideal: each, least: each / 2, under: SOAK_SHORT, longer: 480 };
        for number in 1..=soak.changes {
            let said = (say::soak_in(Volume(soak.water_l), number, soak.changes), prepare::soak_why());
            let step = Step::new(TaskId::Soak(number), TaskKind::Soak, Lane::Board, said, 3);
            self.add(step, ahead);
        }
        let said = (say::soak_out(), say::soak_out_why());
        self.add(Step::new(TaskId::SoakOut, TaskKind::Soak, Lane::Board, said, 2), WaitAhead::straight_on(NEXT_BORNE));
    }

    fn marinade(&mut self, worked: &Settled, bench: &Prepare) {
        let Some(marinade) = bench.marinade else { return };
        let lies = whole(marinade.hours * 60.0);
        let longer = (MEALY_MIN - lies).clamp(60, NEXT_BORNE);
        let ahead = WaitAhead { ideal: lies, least: lies / OWN_SHARE, under: SALT_SHORT, longer };
        let said =
            (say::marinade_in(Volume(marinade.ml / 1000.0), Minutes(marinade.hours * 60.0)), say::marinade_in_why());
        let step = Step::new(TaskId::Marinate, TaskKind::Marinate, Lane::Board, said, 6);
        self.add(step, ahead);
        if lies >= TURNED_FROM_MIN {
            let said = (say::marinade_turn(), say::marinade_turn_why());
            let step = Step::new(TaskId::MarinateTurn, TaskKind::Marinate, Lane::Board, said, 2);
            let (at, off) = (lies / 2, lies / 4);
            let near = Where::Near { step: TaskId::Marinate, at, earlier: off, later: off, price: 0.002 };
            let mut block = Block::new(vec![step.after([TaskId::Marinate])], near);
            (block.give, block.by_day) = (Give::Dropped(0.5), Some(TURN_AT_NIGHT));
            block.only_before = Some(TaskId::MarinateOut);
            self.beside.push(block);
        }
        let kept = bench.keeps_the_marinade(&worked.case);
        let what = if kept { say::marinade_out_kept() } else { say::marinade_out() };
        let seared = worked.durations.sear.is_some();
        let why = if seared { prepare::marinade_why() } else { prepare::marinade_unseared_why() };
        let caution = kept.then(|| safety::marinade(worked.case.voice));
        let step = Step::new(TaskId::MarinateOut, TaskKind::Marinate, Lane::Board, (what, why), 5);
        let temper = whole(bench.temper_min);
        let ahead = WaitAhead { ideal: temper, least: 0, under: TEMPER_SHORT, longer: 60 };
        self.add(step.minding(caution), ahead).by_day = None;
    }

    fn rinse(&mut self, bench: &Prepare) {
        if bench.rinse {
            let said = (say::rinse(), say::rinse_why());
            let step = Step::new(TaskId::Rinse, TaskKind::Soak, Lane::Board, said, 2);
            self.add(step, WaitAhead::straight_on(NEXT_BORNE));
        }
    }

    fn clear(&mut self, worked: &Settled, bench: &Prepare) {
        if !bench.clear {
            return;
        }
        let cold = Guide(worked.case.voice.food_code().cold_c());
        let step = |id, kind, lane, said, at, len| Step::new(id, kind, lane, said, len).at(at);
        let steps = vec![
            step(TaskId::ClearSoak, TaskKind::Soak, Lane::Board, (say::clear_soak(), say::clear_soak_why(cold)), 0, 3),
            step(TaskId::ClearWater, TaskKind::Soak, Lane::Board, (say::clear_water(), say::clear_water_why()), 30, 3),
            step(TaskId::Blanch, TaskKind::Blanch, Lane::Hob, (say::blanch(), say::blanch_why()), 60, 20).watched(),
            step(
                TaskId::BlanchRinse,
                TaskKind::Blanch,
                Lane::Board,
                (say::blanch_rinse(), say::blanch_rinse_why()),
                80,
                6,
            ),
        ];
        let block = self.add(steps[0].clone(), WaitAhead::straight_on(60));
        block.takes = vec![(ThingKind::Burner, 0, TaskId::Blanch, TaskId::Blanch)];
        block.steps = steps;
    }

    fn take_out(&mut self, worked: &Settled, bench: &Prepare, pan: TaskId) {
        // What was boiled up, or comes from its marinade, is out already.
        if bench.clear || bench.marinade.is_some() {
            return;
        }
        let (durations, seared) = (&worked.durations, worked.durations.sear.is_some());
        let said = match (seared, bench.temper_min > 0.0) {
            _ if worked.case.goes_in_frozen() => (say::take_out_frozen(), say::take_out_frozen_why()),
            (true, true) => (say::take_out_pat(), say::take_out_pat_why()),
            (true, false) => (say::take_out_pat(), say::take_out_cold_pat_why()),
            (false, true) => (say::take_out(), say::take_out_why()),
            (false, false) => (say::take_out(), say::take_out_cold_why()),
        };
        let step = Step::new(TaskId::TakeOut, TaskKind::TakeOut, Lane::Board, said, whole(durations.take_out_min));
        let temper = whole(bench.temper_min);
        let block = self.add(step.minding([safety::raw_meat(worked.case.voice)]), WaitAhead::straight_on(0));
        block.place = Where::Before(vec![Wait::until(pan, 0.02, 60).at_best(temper, 0, TEMPER_SHORT)]);
        block.by_day = None;
    }

    /// Each before the next, the last before the pan.
    fn chained(mut self, pan: TaskId) -> Vec<Block> {
        let firsts: Vec<_> = self.blocks.iter().map(|block| block.first().unwrap_or(pan)).collect();
        let lasts: Vec<_> = self.blocks.iter().map(|block| block.steps.last().map(|step| step.id)).collect();
        for (i, block) in self.blocks.iter_mut().enumerate() {
            let then = firsts.get(i + 1).copied().unwrap_or(pan);
            let ahead = self.ahead[i];
            if let Where::Before(waits) = &mut block.place
                && !waits.iter().any(|wait| wait.then == then)
            {
                waits.push(Wait { said: ahead.gives() && then != pan, ..ahead.wait(then) });
            }
            let before = i.checked_sub(1).and_then(|i| lasts[i]);
            if let (Some(first), Some(before)) = (block.steps.first_mut(), before) {
                first.after.get_or_insert(vec![before]);
            }
        }
        self.blocks.append(&mut self.beside);
        self.blocks
    }
}
