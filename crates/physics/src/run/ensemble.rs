//! A case's cooks run in groups of lanes, with time at pressure solved for where it was not given.

use rayon::prelude::*;

use super::lanes::{PartTimes, PressureHolds};
use super::simulate::{Ran, ends_under_pressure, lifted_s, simulate};
use super::watch::{Moment, Unwatched, Watch};
use crate::case::{Case, End};
use crate::how::How;
use crate::medium::Medium;
use crate::members::{Drawn, Member, PieceDrawn};
use crate::units::MINUTE_S;
use ergastic_cancel::Cancelled;

/// Cooks stepped side by side.
pub(super) const LANES: usize = 16;
/// Rounds of the secant that solves for time at pressure: from a bracket, four come to some seconds.
const SOLVE_ROUNDS: usize = 4;
/// The longest time at pressure that is tried, s.
const LONGEST_HOLD_S: f64 = 600.0 * MINUTE_S;

/// What became of one cook.
#[derive(Debug, Clone, PartialEq)]
pub struct Times {
    /// Every part tender and to be had, s from the meat meeting the heat.
    pub ready_s: f64,
    /// The first part gone too far, the heat simply staying on, s.
    pub overcooked_s: f64,
    /// By part.
    pub parts: Vec<PartTimes>,
    /// Pressure reached, s after closing the lid; infinite without.
    pub came_up_s: f64,
    /// The last stage over by itself, tender or not, s; infinite where the heat simply stays on.
    pub ended_s: f64,
    /// Time at pressure that was solved for, s; infinite where none was.
    pub hold_s: f64,
}

/// A group of cooks with their meat.
pub(super) struct Group {
    /// Who they are among all that were drawn; the last group may hold fewer than its lanes.
    pub(super) who: Vec<usize>,
    pub(super) members: [Member; LANES],
    pub(super) pieces: Vec<[PieceDrawn; LANES]>,
}

/// The drawn cooks in groups of those that will likely take as long, since a group is stepped until its slowest is done. A
/// cook's own answer does not depend on its company.
pub(super) fn groups(case: &Case, drawn: &Drawn) -> Vec<Group> {
    let mut order: Vec<usize> = (0..drawn.members.len()).collect();
    let in_pit = case.stages.iter().any(|stage| matches!(stage.medium, Medium::Pit { .. }));
    let slowness: Vec<f64> = order.iter().map(|i| drawn.slowness(*i, in_pit)).collect();
    order.sort_by(|a, b| slowness[*a].total_cmp(&slowness[*b]));
    let group = |who: &[usize]| {
        let mut members = [Member::median(&case.model.p.beliefs); LANES];
        let mut pieces = vec![[PieceDrawn::median(&case.model.p.beliefs); LANES]; drawn.pieces.len()];
        for (lane, i) in who.iter().enumerate() {
            members[lane] = drawn.members[*i];
            for (pieces, drawn) in pieces.iter_mut().zip(&drawn.pieces) {
                pieces[lane] = drawn[*i];
            }
        }
        Group { who: who.to_vec(), members, pieces }
    };
    order.chunks(LANES).map(group).collect()
}

/// Puts what came of each group back in the order in which its cooks were drawn.
pub(super) fn in_drawn_order<T>(count: usize, runs: impl Iterator<Item = (Vec<usize>, [T; LANES])>) -> Vec<T> {
    let mut all: Vec<Option<T>> = std::iter::repeat_with(|| None).take(count).collect();
    for (who, ran) in runs {
        for (i, one) in who.into_iter().zip(ran) {
            all[i] = Some(one);
        }
    }
    all.into_iter().flatten().collect()
}

/// Runs lanes to their end under a watcher; times at pressure are solved for first.
pub(crate) fn run<const L: usize>(
    case: &Case,
    members: &[Member; L],
    pieces: &[[PieceDrawn; L]],
    watch: &mut dyn Watch<L>,
) -> [Times; L] {
    let stays = if ends_under_pressure(case) {
        Some(simulate(case, members, pieces, PressureHolds::STAYS_ON, &mut Unwatched))
    } else {
        None
    };
    let solved = match (case.solved_stage(), &stays) {
        (None, _) => None,
        (Some(stage), Some(closed)) if stage + 1 == case.stages.len() => Some(solve(case, members, pieces, closed)),
        _ => {
            let closed = simulate(case, members, pieces, PressureHolds::of([f64::INFINITY; L]), &mut UntilTender);
            Some(solve(case, members, pieces, &closed))
        }
    };
    let ran = simulate(case, members, pieces, PressureHolds::of(solved.unwrap_or([f64::INFINITY; L])), watch);
    std::array::from_fn(|lane| {
        let hold_s = solved.map_or(f64::INFINITY, |holds| holds[lane]);
        times(case, &ran, stays.as_ref(), lane, hold_s)
    })
}

/// When a cook's chain is over, s. A run is followed until nothing more is learned of the meat: what is left then and lasts a time of its
/// own ends after that time.
fn over_s<const L: usize>(case: &Case, ended_s: &[[f64; L]], lane: usize) -> f64 {
    case.stages.iter().zip(ended_s).fold(0.0, |before_s, (stage, ended_s)| match stage.end {
        End::After(lasts_s) if ended_s[lane].is_infinite() => before_s + lasts_s,
        _ => ended_s[lane],
    })
}

fn times<const L: usize>(case: &Case, ran: &Ran<L>, stays: Option<&Ran<L>>, lane: usize, hold_s: f64) -> Times {
    let solved = case.solved_stage().filter(|_| hold_s.is_finite());
    // A closed pot that never comes up goes on at the local boil, as any other with its lid on.
    let at_the_boil = stays.filter(|_| case.stages.len() == 1 && ran.came_up_s[lane].is_infinite());
    let parts: Vec<PartTimes> = (0..case.parts.len())
        .map(|part| {
            let tender = ran.parts[part][lane];
            let at_the_boil = at_the_boil.map(|stays| stays.parts[part][lane]);
            let ready_s = match solved.map(|stage| ran.ended_s[stage][lane]) {
                _ if at_the_boil.is_some() => at_the_boil.map_or(f64::INFINITY, |stays| stays.ready_s),
                // The time at pressure was chosen so that the least tender part is just tender on opening.
                Some(opened_s) if tender.ready_s > opened_s - 2.0 * MINUTE_S => opened_s,
                _ => lifted_s(case, &ran.ended_s, lane, tender.ready_s),
            };
            let overcooked_s = stays.map_or(tender.overcooked_s, |stays| stays.parts[part][lane].overcooked_s);
            PartTimes { ready_s, overcooked_s }
        })
        .collect();
    Times {
        ready_s: parts.iter().map(|part| part.ready_s).fold(0.0, f64::max),
        overcooked_s: parts.iter().map(|part| part.overcooked_s).fold(f64::INFINITY, f64::min),
        parts,
        came_up_s: ran.came_up_s[lane],
        ended_s: over_s(case, &ran.ended_s, lane),
        hold_s,
    }
}

/// The time at pressure with which each cook's meat is just tender when the lid can be opened, s; infinite where none is.
///
/// Tenderness on opening grows with the hold, so it lies between none and the hold at whose end the meat would be tender
/// with the pot still `closed`. From that end a secant, kept inside the bracket, comes to the figure.
fn solve<const L: usize>(case: &Case, members: &[Member; L], pieces: &[[PieceDrawn; L]], closed: &Ran<L>) -> [f64; L] {
    let stage = case.solved_stage().unwrap_or(0);
    let start_s: [f64; L] = std::array::from_fn(|lane| if stage == 0 { 0.0 } else { closed.ended_s[stage - 1][lane] });
    let tender: [f64; L] =
        std::array::from_fn(|lane| closed.parts.iter().map(|part| part[lane].ready_s).fold(0.0, f64::max));
    let (mut low, mut high) = ([0.0; L], [0.0; L]);
    for lane in 0..L {
        high[lane] = f64::max(0.0, tender[lane] - start_s[lane] - closed.came_up_s[lane]);
    }
    let never: [bool; L] = std::array::from_fn(|lane| high[lane].is_nan() || high[lane] > LONGEST_HOLD_S);
    let mut hold: [f64; L] = std::array::from_fn(|lane| if never[lane] { 0.0 } else { high[lane] });
    let (mut last_hold, mut last_margin) = ([f64::NAN; L], [f64::NAN; L]);
    let mut best = hold;
    for _ in 0..=SOLVE_ROUNDS {
        let ran = simulate(case, members, pieces, PressureHolds::of(hold), &mut UntilOpened { stage });
        for lane in 0..L {
            let margin = ran.margin[lane];
            if margin >= 1.0 {
                high[lane] = hold[lane];
                best[lane] = hold[lane];
            } else {
                low[lane] = hold[lane];
            }
            let slope = (margin - last_margin[lane]) / (hold[lane] - last_hold[lane]);
            (last_hold[lane], last_margin[lane]) = (hold[lane], margin);
            let next = if slope.is_finite() && slope > 0.0 {
                // A few seconds over, so that the last round ends on the tender side.
                hold[lane] + (1.0002 - margin) / slope
            } else {
                f64::max(0.0, high[lane] - 6.0 * MINUTE_S)
            };
            hold[lane] = if next > low[lane] && next < high[lane] { next } else { 0.5 * (low[lane] + high[lane]) };
            if never[lane] || high[lane] == 0.0 {
                hold[lane] = 0.0;
            }
        }
    }
    std::array::from_fn(|lane| if never[lane] { f64::INFINITY } else { best[lane] })
}

/// Ends the run when every cook's meat is tender.
struct UntilTender;

impl<const L: usize> Watch<L> for UntilTender {
    fn look(&mut self, moment: &Moment<L>) -> bool {
        let waits = |lane: usize| moment.parts.iter().any(|part| part.times[lane].ready_s.is_infinite());
        (0..L).any(waits) && moment.time_s < LONGEST_HOLD_S * 4.0
    }
}

/// Ends the run when every cook has opened the lid of a stage.
struct UntilOpened {
    stage: usize,
}

impl<const L: usize> Watch<L> for UntilOpened {
    fn look(&mut self, moment: &Moment<L>) -> bool {
        moment.around.chain.ended_s[self.stage].iter().any(|ended| ended.is_infinite())
    }
}

fn run_group(case: &Case, group: &Group) -> [Times; LANES] {
    run(case, &group.members, &group.pieces, &mut Unwatched)
}

/// What becomes of the median cook.
///
/// # Errors
/// Nobody waits for it any more.
pub fn median_times(case: &Case, how: &How) -> Result<Times, Cancelled> {
    how.go_on()?;
    let pieces = vec![[PieceDrawn::median(&case.model.p.beliefs)]; case.parts.len()];
    let [times] = run(case, &[Member::median(&case.model.p.beliefs)], &pieces, &mut Unwatched);
    Ok(times)
}

/// When the median cook is tender if the heat, and the pressure, simply stay on, s.
///
/// # Errors
/// Nobody waits for it any more.
pub fn median_tender_s(case: &Case, how: &How) -> Result<f64, Cancelled> {
    how.go_on()?;
    let pieces = vec![[PieceDrawn::median(&case.model.p.beliefs)]; case.parts.len()];
    let ran =
        simulate(case, &[Member::median(&case.model.p.beliefs)], &pieces, PressureHolds::STAYS_ON, &mut UntilTender);
    Ok(ran.parts.iter().map(|part| part[0].ready_s).fold(0.0, f64::max))
}

/// Runs every cook; the answer does not depend on how many threads share the work.
///
/// # Errors
/// Nobody waits for it any more.
pub fn run_all(case: &Case, drawn: &Drawn, how: &How) -> Result<Vec<Times>, Cancelled> {
    let one = |group: Group| how.go_on().map(|()| (run_group(case, &group), group.who));
    let runs: Vec<_> = groups(case, drawn).into_par_iter().map(one).collect::<Result<_, _>>()?;
    Ok(in_drawn_order(drawn.members.len(), runs.into_iter().map(|(times, who)| (who, times))))
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::case::End;
    use crate::testing::{SIMMERS, case, simmered, stage};
    use crate::units::HOUR_S;

    fn ready_s(case: &Case) -> f64 {
        median_times(case, &How::default()).unwrap().ready_s
    }

    #[test]
    fn thick_meat_takes_longer_and_a_stage_cut_in_two_is_the_whole() {
        assert!(ready_s(&simmered(0.08)) > ready_s(&simmered(0.05)));
        let cut = case(0.06, vec![stage(SIMMERS, End::After(HOUR_S)), stage(SIMMERS, End::Stays)]);
        assert!((ready_s(&cut) - ready_s(&simmered(0.06))).abs() < 5.0);
    }

    #[test]
    fn time_at_pressure_is_solved_for_so_that_the_median_cook_is_tender_as_it_opens() {
        let pressed = |hold_s| Medium::Pressure { target_c: 118.0, hold_s, quick: false, power_w: 1800.0 };
        let times = median_times(&case(0.06, vec![stage(pressed(None), End::Opened)]), &How::default()).unwrap();
        assert!(times.hold_s > 600.0 && times.hold_s < LONGEST_HOLD_S && times.ready_s <= times.ended_s, "{times:?}");
        let shorter = case(0.06, vec![stage(pressed(Some(0.7 * times.hold_s)), End::Opened)]);
        assert!(ready_s(&shorter).is_infinite(), "not tender when it is opened");
        let longer = case(0.06, vec![stage(pressed(Some(times.hold_s + 60.0)), End::Opened)]);
        assert!(ready_s(&longer).is_finite());
    }

    #[test]
    fn each_cook_answers_for_itself_whoever_is_beside_it_and_in_the_order_drawn() {
        let case = simmered(0.06);
        let drawn = Drawn::of(&case, 40, 3);
        let all = run_all(&case, &drawn, &How::default()).unwrap();
        let alone = |i: usize| {
            let pieces = drawn.pieces.iter().map(|part| vec![part[i]]).collect();
            let one = Drawn { members: vec![drawn.members[i]], pieces };
            run_all(&case, &one, &How::default()).unwrap().remove(0)
        };
        for i in [0, 17, 39] {
            assert_eq!(all[i], alone(i), "cook {i}");
        }
        let slowest = (0..40).max_by(|a, b| all[*a].ready_s.total_cmp(&all[*b].ready_s)).unwrap();
        assert!(drawn.slowness(slowest, false) > 0.0);
        assert!(all.iter().all(|times| times.ready_s < times.overcooked_s));
    }

    #[test]
    fn who_is_cancelled_answers_nothing() {
        let how = How { cancel: ergastic_cancel::Cancel::after(1), ..How::default() };
        let case = simmered(0.06);
        let drawn = Drawn::of(&case, 64, 3);
        assert!(run_all(&case, &drawn, &how).is_err());
    }
}
