//! What each way is told at each step, where it takes place, and why: chosen from the facts of the dish.

use ergastic_words::{Dial, Guide, Join, Message, Minutes, Temperature, Voice, Volume, prepare, sheet as say};

use super::lane::Lane;
use super::medium::Medium;
use super::settings::Start;
use crate::bench::{Larder, Wine, Wood};
use crate::cuts::EatenAs;
use crate::heat::pot::{Lid, Simmer};
use crate::safety::{cooled_by, cooled_first};
use ergastic_physics::coals::TURN_EVERY_MIN;
use ergastic_physics::medium::Cooling;

/// Less than this is not poured, L.
const NOTHING_L: f64 = 0.005;

/// A pit stalls between these, °C. Practice.
const STALL_C: [f64; 2] = [65.0, 75.0];
/// A look into a slow cooker costs this, min. Practice.
const CROCK_LOOK_MIN: f64 = 20.0;
/// Into a pit and a pot, this.
const PIT_LOOK_MIN: f64 = 8.0;
const POT_LOOK_MIN: f64 = 3.0;
/// What is held hot softens only a little between these, °C.
const HOLD_C: [f64; 2] = [63.0, 75.0];
/// A bath that only holds, °C.
const HOLDING_BATH_C: f64 = 65.0;

/// What a dish has that its steps are chosen by.
#[derive(Debug, Clone)]
pub struct Facts<'a> {
    /// Salt was put on the meat.
    pub salted: bool,
    /// It went through a pan.
    pub seared: bool,
    /// There is bone in it.
    pub bones: bool,
    /// Liquid poured in, L.
    pub liquid_l: f64,
    /// What softens in the fat before the liquid.
    pub aromatics: &'a [Larder],
    /// What the pan is deglazed with, if something is.
    pub deglazes: Option<Larder>,
    /// Boiled down first, or not.
    pub wine: Wine,
    /// What makes up the liquid beside it.
    pub base: Larder,
    /// Wood for the pit.
    pub wood: Wood,
}

impl Facts<'_> {
    fn poured(&self) -> bool {
        self.liquid_l > NOTHING_L
    }
}

/// A lane with what to do there and why.
pub type Step = (Lane, Message, Message);

/// What has to get hot before the meat comes to it.
pub fn preheat(medium: &Medium, facts: &Facts) -> Option<Step> {
    Some(match medium {
        Medium::Oven { set_c, .. } => (Lane::Oven, say::light_oven(Dial(*set_c)), say::light_oven_why()),
        Medium::Fat { fat_c } => (Lane::Oven, say::warm_fat(Temperature(*fat_c)), say::warm_fat_why()),
        Medium::Coals(coals) => (Lane::Hob, say::light_coals(coals.under + coals.over), say::light_coals_why()),
        Medium::Pit { pit, .. } => {
            let wood = prepare::a_split(facts.wood.key());
            (Lane::Pit, say::light_pit(Dial(pit.set_c), wood), say::light_pit_why())
        }
        Medium::Bath { bath_c } => (Lane::Bath, say::warm_bath(Temperature(*bath_c)), say::warm_bath_why()),
        _ => return None,
    })
}

/// The last step at the bench before the meat meets the heat.
pub fn into_it(medium: &Medium, facts: &Facts) -> (Message, Message) {
    let salted = facts.salted;
    match medium {
        Medium::Pit { .. } => (say::rub(), if salted { say::rub_why() } else { say::rub_unsalted_why() }),
        Medium::Bath { .. } => (say::bag(), if facts.bones { say::bag_bones_why() } else { say::bag_why() }),
        Medium::Fat { .. } => (if salted { say::into_fat_wipe() } else { say::into_fat() }, say::into_fat_why()),
        _ => into_the_pot(facts),
    }
}

/// Aromatics, what deglazes, the liquid: as much of it as there is.
fn into_the_pot(facts: &Facts) -> (Message, Message) {
    let seared = facts.seared;
    let aromatics: Vec<_> = facts.aromatics.iter().map(|what| what.name()).collect();
    let soften = (!aromatics.is_empty()).then(|| {
        let things = Message::list(aromatics, Join::And);
        if seared { say::soften_in_that_fat(things) } else { say::soften(things) }
    });
    let scrape = match (facts.deglazes, facts.wine, seared) {
        (Some(what), Wine::Halved, true) => Some(say::deglaze_seared(what.name())),
        (Some(what), Wine::Halved, false) => Some(say::deglaze(what.name())),
        (Some(what), Wine::Whole, true) => Some(say::deglaze_whole_seared(what.name())),
        (Some(what), Wine::Whole, false) => Some(say::deglaze_whole(what.name())),
        (None, _, true) => Some(say::scrape(facts.base.name())),
        (None, _, false) => None,
    };
    let poured = facts.poured();
    let all: Vec<_> = soften.into_iter().chain(scrape).collect();
    let what = match (all.is_empty(), poured) {
        (false, _) => Message::list(all, Join::Sentences),
        (true, true) => say::heat_the_liquid(),
        (true, false) => say::pot_ready(),
    };
    (what, if poured { say::into_it_why() } else { say::into_it_why_dry() })
}

/// The moment from which the clock counts.
pub fn meets_the_heat(medium: &Medium, lid: Lid, facts: &Facts) -> Step {
    let (liquid, poured, seared) = (Volume(facts.liquid_l), facts.poured(), facts.seared);
    match medium {
        Medium::Pressure { .. } => {
            let what = match (poured, seared) {
                (false, _) => say::pressure_in_dry(),
                (true, true) => say::pressure_in_juices(liquid),
                (true, false) => say::pressure_in(liquid),
            };
            (Lane::PressurePot, what, say::pressure_in_why())
        }
        Medium::SlowCooker { .. } | Medium::KeepWarm { .. } => {
            let lid = lid.words();
            let what = if poured { say::crock_in(liquid, lid) } else { say::crock_in_dry(lid) };
            (Lane::Crock, what, say::crock_in_why())
        }
        Medium::Fat { .. } => (Lane::Oven, say::fat_in(), say::fat_in_why()),
        Medium::Bath { .. } => (Lane::Bath, say::bath_in(), say::bath_in_why()),
        Medium::Pit { .. } => (Lane::Pit, say::pit_in(), say::pit_in_why()),
        Medium::Chill { .. } => (Lane::Cold, say::cold_in(), say::cold_in_why()),
        // What stands in the oven from the first is brought to no simmer on a hob.
        Medium::Oven { start: Start::Oven | Start::ColdOven, .. } => {
            let what = if poured { say::dish_in(liquid, lid.words()) } else { say::dish_in_dry(lid.words()) };
            (Lane::Oven, what, say::dish_in_why())
        }
        Medium::Coals(_) => over_a_flame(Lane::Fire, liquid, poured, seared),
        _ => over_a_flame(Lane::Hob, liquid, poured, seared),
    }
}

fn over_a_flame(lane: Lane, liquid: Volume, poured: bool, seared: bool) -> Step {
    match (poured, seared) {
        (false, _) => (lane, say::pot_in_dry(), say::pot_in_dry_why()),
        (true, true) => (lane, say::pot_in_juices(liquid), say::pot_in_why()),
        (true, false) => (lane, say::pot_in(liquid), say::pot_in_why()),
    }
}

/// What goes on by itself.
pub fn over_the_heat(medium: &Medium, lid: Lid, set: Option<Minutes>, voice: Voice) -> Step {
    let lid = lid.words();
    match medium {
        Medium::Oven { set_c, .. } => (Lane::Oven, say::in_the_oven(Dial(*set_c), lid), say::in_the_oven_why()),
        Medium::Hob { simmer } => {
            let why = if *simmer == Simmer::Boil { say::on_the_hob_rolling_why() } else { say::on_the_hob_why() };
            (Lane::Hob, say::on_the_hob(simmer.looks(), lid), why)
        }
        medium @ Medium::Coals(_) => {
            (Lane::Fire, say::over_coals(medium.words(), lid), say::over_coals_why(Minutes(TURN_EVERY_MIN)))
        }
        Medium::Pressure { hold_s, quick, .. } => {
            let held = hold_s.filter(|s| s.is_finite()).map(|s| Minutes(s / 60.0)).or(set);
            let what = match (held, quick) {
                (Some(held), false) => say::under_pressure_held(held),
                (Some(held), true) => say::under_pressure_held_quick(held),
                (None, false) => say::under_pressure(),
                (None, true) => say::under_pressure_quick(),
            };
            (Lane::PressurePot, what, say::under_pressure_why())
        }
        medium @ (Medium::SlowCooker { .. } | Medium::KeepWarm { .. }) => {
            (Lane::Crock, say::in_the_crock(medium.words()), say::in_the_crock_why(Minutes(CROCK_LOOK_MIN)))
        }
        Medium::Bath { bath_c } => (Lane::Bath, say::in_the_bath(Temperature(*bath_c)), say::in_the_bath_why()),
        Medium::Fat { fat_c } => (Lane::Oven, say::under_fat(Temperature(*fat_c)), say::under_fat_why()),
        Medium::Pit { pit, wrap } => {
            let dial = Dial(pit.set_c);
            let what = match wrap {
                None => say::in_the_pit(dial),
                Some((material, at_c)) if *at_c <= 0.0 => say::in_the_pit_wrapped_at_once(dial, material.key()),
                Some((material, at_c)) => say::in_the_pit_wrapped(dial, material.key(), Temperature(*at_c)),
            };
            let [low, high] = STALL_C.map(Guide);
            let in_its_wrap = wrap.is_some_and(|(_, at_c)| at_c <= 0.0);
            let why = if in_its_wrap { say::in_the_pit_wrapped_why() } else { say::in_the_pit_why(low, high) };
            (Lane::Pit, what, why)
        }
        Medium::Chill { cooling: Cooling::InAir } => (Lane::Board, say::heat_is_off(), say::heat_is_off_why()),
        Medium::Chill { cooling } => {
            let what = if *cooling == Cooling::OnTray { say::chilled_on_a_tray() } else { say::chilled() };
            (Lane::Cold, what, say::chilled_why(cooled_by(voice)))
        }
        Medium::Reheat { to_c } => (Lane::Hob, say::reheated(Temperature(*to_c)), say::reheated_why()),
    }
}

/// What there is to do while it goes on by itself: to leave it, as it should be left.
pub fn leave_it(medium: &Medium, lid: Lid) -> Message {
    let lid = lid.words();
    match medium {
        Medium::Oven { set_c, .. } => say::leave_oven(Dial(*set_c), lid),
        Medium::Hob { simmer } => say::leave_hob(lid, simmer.looks()),
        Medium::Coals(_) => say::leave_coals(lid),
        Medium::Pressure { .. } => say::leave_pressure(),
        Medium::SlowCooker { .. } | Medium::KeepWarm { .. } => say::leave_crock(lid),
        Medium::Bath { bath_c } => say::leave_bath(Temperature(*bath_c)),
        Medium::Fat { fat_c } => say::leave_fat(Temperature(*fat_c)),
        Medium::Pit { pit, wrap } => match wrap {
            Some((material, at_c)) if *at_c <= 0.0 => say::leave_pit_wrapped(Dial(pit.set_c), material.key()),
            _ => say::leave_pit(Dial(pit.set_c)),
        },
        Medium::Chill { cooling: Cooling::InAir } => say::heat_is_off(),
        Medium::Chill { .. } => say::leave_cold(),
        Medium::Reheat { to_c } => say::leave_reheat(Temperature(*to_c)),
    }
}

/// From one heat to the next.
pub fn moved(from: &Medium, to: &Medium, voice: Voice) -> (Message, Message) {
    match (from, to) {
        (Medium::Pit { .. }, Medium::Bath { .. }) => (say::pit_to_bath(), say::pit_to_bath_why()),
        (_, Medium::Chill { .. }) => (say::to_the_cold(), cooled_first(voice)),
        // Only on liquid does fat set to be lifted off.
        (Medium::Chill { cooling: Cooling::InLiquid }, _) => (say::from_the_cold(), say::from_the_cold_why()),
        (Medium::Chill { .. }, _) => (say::from_the_cold_no_fat(), say::from_the_cold_no_fat_why()),
        (from, to) if from.same_kind(to) => (say::change_over(to.words()), say::change_over_why()),
        (_, to) => (say::move_it(to.words()), say::move_it_why()),
    }
}

/// The first look and the later ones; none where the lid stays shut.
pub fn look(medium: &Medium) -> Option<(Message, Message)> {
    match medium {
        Medium::Pressure { .. } | Medium::Chill { .. } | Medium::Reheat { .. } => None,
        Medium::Bath { .. } => Some((say::look_bag(), say::look_bag_again())),
        Medium::Pit { .. } => Some((say::look_probe(), say::look_probe_again())),
        Medium::Fat { .. } | Medium::SlowCooker { .. } | Medium::KeepWarm { .. } => {
            Some((say::look_fork(), say::look_fork_again()))
        }
        _ => Some((say::look_fork_and_liquid(), say::look_fork_and_liquid_again())),
    }
}

/// What a look costs, min of heat: a pot is soon warm again, a crock and a pit are not. Practice; working values.
pub fn look_costs_min(medium: &Medium) -> f64 {
    match medium {
        Medium::SlowCooker { .. } | Medium::KeepWarm { .. } => CROCK_LOOK_MIN,
        Medium::Pit { .. } => PIT_LOOK_MIN,
        _ => POT_LOOK_MIN,
    }
}

/// Waiting hot for the bell.
pub fn hold(medium: &Medium) -> (Message, Message) {
    let what = match medium {
        Medium::Pit { wrap: Some(_), .. } => say::hold_pit_wrapped(),
        Medium::Pit { .. } => say::hold_pit(),
        Medium::Bath { .. } => say::hold_bath(Guide(HOLDING_BATH_C)),
        Medium::Pressure { .. } => say::hold_pressure(),
        Medium::SlowCooker { .. } | Medium::KeepWarm { .. } => say::hold_crock(),
        _ => say::hold_pot(),
    };
    let [low, high] = HOLD_C.map(Guide);
    (what, say::hold_why(low, high))
}

/// Out of the heat, with what comes out beside the meat.
pub fn lift(medium: &Medium, open_already: bool, out: &[Message]) -> (Message, Message) {
    let (what, why) = match medium {
        Medium::Pit { wrap: Some(_), .. } => (say::lift_pit_wrapped(), say::lift_why()),
        Medium::Pit { .. } => (say::lift_pit(), say::lift_why()),
        Medium::Bath { .. } => (say::lift_bath(), say::lift_bath_why()),
        Medium::Fat { .. } => (say::lift_fat(), say::lift_fat_why()),
        Medium::Pressure { .. } if !open_already => (say::lift_pressure(), say::lift_pressure_why()),
        _ => (say::lift_pot(), say::lift_why()),
    };
    if out.is_empty() {
        return (what, why);
    }
    (what, say::lift_out_why(Message::list(out.iter().cloned(), Join::Commas)))
}

/// Why it rests.
pub fn rest(medium: &Medium, eaten_as: EatenAs) -> Message {
    match (medium, eaten_as) {
        (Medium::Pit { .. }, _) => say::rest_pit_why(),
        (_, EatenAs::Slice | EatenAs::Probe) => say::rest_slicing_why(),
        _ => say::rest_why(),
    }
}
