//! The usual explicit method for ordinary differential equations on the pit problem, beside ours: what the method of our own buys, and
//! that both come to the same temperatures.

mod reference;

use divan::{Bencher, black_box};
use ergastic_physics::body::{SHELLS, Surroundings};
use ergastic_physics::conduction::Bodies;
use multiversion::multiversion;
use reference::{AIR_C, EXPONENT, HOURS, P, RADIUS_M, START_C, evaporation, yardstick};

fn main() {
    let (ours, theirs) = (ours::<1>(), yardstick());
    let apart = (0..SHELLS).map(|i| (ours[i] - theirs[i]).abs()).fold(0.0, f64::max);
    println!("largest difference between the two after {HOURS} h: {apart:.3} K");
    assert!(apart < 0.3, "{ours:?}\n{theirs:?}");
    divan::main();
}

/// Our own method, `L` bodies side by side, compiled as the core compiles it.
#[multiversion(targets("x86_64+avx512f+avx512vl+avx2+fma", "x86_64+avx2+fma"))]
fn ours<const L: usize>() -> [f64; SHELLS] {
    let mut bodies = Bodies::new(EXPONENT, [RADIUS_M; L], START_C, 60.0, &P.meat);
    let mut around = Surroundings::dry([AIR_C; L], [AIR_C; L], [P.surface.pit; L]);
    around.wet = true;
    around.air_vapour_pa = [P.pit.vapour_pa; L];
    let mut gone = [0.0; L];
    for _ in 0..HOURS * 60 {
        for lane in 0..L {
            around.evaporation[lane] = evaporation(gone[lane]);
        }
        bodies.step(&around);
        for lane in 0..L {
            gone[lane] = f64::max(0.0, gone[lane] + bodies.evaporated[lane]);
        }
    }
    bodies.celsius.map(|shell| shell[0])
}

#[divan::bench(name = "ours, one body, 12 h in the pit")]
fn one(bencher: Bencher) {
    bencher.bench(|| black_box(ours::<1>()));
}

#[divan::bench(name = "ours, sixteen bodies side by side")]
fn sixteen(bencher: Bencher) {
    bencher.bench(|| black_box(ours::<16>()));
}

#[divan::bench(name = "explicit Runge-Kutta of fourth order, one body")]
fn general(bencher: Bencher) {
    bencher.bench(|| black_box(yardstick()));
}
