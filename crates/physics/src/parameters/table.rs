//! The values.

use super::about::{About, Source};
use crate::beliefs::Beliefs;

/// What is believed of a kitchen nothing is known of.
const UNKNOWN: Beliefs = {
    let spread = Spread::USUAL;
    Beliefs::knowing_nothing(spread.oven_k, spread.pot_k, spread.pit_k, spread.lid_ln)
};

parameters! {
    /// Lean beef, thawed and frozen.
    meat: Meat,
    /// What heat meets at the meat's surface.
    surface: Surface,
    /// What comes after the cook: cooling, and warming again.
    after: AfterFigures,
    /// What pots are made of.
    wall: WallFigures[5],
    /// What covers pots.
    cover: CoverFigures[5],
    /// How the hob is set.
    simmer: SimmerFigures[4],
    /// Pots in an oven, on a hob, kept warm, cooling.
    pot: PotFigures,
    /// A slow cooker's switch.
    slow_cooker: SwitchFigures[2],
    /// How full a slow cooker is.
    crock: Crock,
    /// Coals.
    coals: CoalFigures,
    /// The pressure pot.
    pressure: Pressure,
    /// The pit.
    pit: PitFigures,
    /// Wraps.
    wrap: WrapFigures[2],
    /// The steam oven.
    steam: SteamFigures,
    /// Softening.
    tender: Tender,
    /// How much softening is enough, of a cut as tough as chuck.
    enough: Enough,
    /// How tough a cut is against chuck.
    toughness: ToughnessFigures,
    /// Juice, fat and gelatin.
    juice: Juice,
    /// Salt.
    salt: Salt,
    /// What nobody knows beforehand.
    spread: Spread,
}

group! {
    /// Lean beef, thawed and frozen.
    Meat {
        /// Conductivity of lean beef (ASHRAE).
        conductivity: "W/(m K)" = 0.48, 0.43..=0.52, Published;
        /// Density of lean beef.
        density: "kg/m³" = 1060.0, 1040.0..=1080.0, Published;
        /// Specific heat of lean beef.
        specific_heat: "J/(kg K)" = 3500.0, 3300.0..=3700.0, Published;
        /// Where beef begins to freeze (ASHRAE).
        freezes_c: "°C" = -1.0, -2.0..=-0.5, Published;
        /// Below this it is all taken for ice.
        solid_c: "°C" = -5.0, -10.0..=-3.0, Working;
        /// Heat of melting of the meat's ice, about three quarters of its mass.
        melting: "J/kg" = 245_000.0, 220_000.0..=260_000.0, Working;
        /// Specific heat of frozen meat (ASHRAE).
        frozen_specific_heat: "J/(kg K)" = 2_000.0, 1_900.0..=2_200.0, Published;
        /// Conductivity of frozen meat (ASHRAE).
        frozen_conductivity: "W/(m K)" = 1.4, 1.3..=1.6, Published;
        /// Water in lean beef, share of it: no more can dry off.
        water: "" = 0.73, 0.72..=0.75, Published;
        /// How far heat has to go in a piece under pressure against its raw half-thickness: it draws together and gapes, and liquid follows.
        pressed_thickness: "" = 0.85, 0.75..=1.0, Fitted;
    }
}

group! {
    /// What heat meets at the meat's surface.
    Surface {
        /// Simmering liquid to meat.
        liquid: "W/(m² K)" = 300.0, 200.0..=450.0, Working;
        /// Fat to meat.
        fat: "W/(m² K)" = 150.0, 100.0..=220.0, Working;
        /// Moving water to a bag.
        bath: "W/(m² K)" = 200.0, 120.0..=350.0, Working;
        /// Water to meat under pressure.
        pressure: "W/(m² K)" = 400.0, 250.0..=700.0, Working;
        /// Cooling liquid to meat.
        cooling: "W/(m² K)" = 150.0, 80.0..=250.0, Working;
        /// Air of a fridge to meat on a tray.
        fridge: "W/(m² K)" = 12.0, 6.0..=20.0, Working;
        /// Pit air to meat, radiation included.
        pit: "W/(m² K)" = 18.0, 12.0..=28.0, Working;
    }
}

group! {
    /// What takes the heat off food that is done, and brings it back.
    AfterFigures {
        /// Still room air to a pot, a tray or an open dish, radiation and some evaporation included.
        room_air: "W/(m² K)" = 11.0, 8.0..=15.0, Working;
        /// A fridge's moved air to an open dish, the steam off it included.
        fridge_air: "W/(m² K)" = 20.0, 12.0..=28.0, Working;
        /// A blast chiller's air to open trays.
        blast_air: "W/(m² K)" = 45.0, 30.0..=70.0, Working;
        /// Stirred ice water through a pot's wall.
        ice_water: "W/(m² K)" = 170.0, 100.0..=250.0, Working;
        /// Conductivity of a stew that stirs itself a little as it cools: twice water's.
        stew_conductivity: "W/(m K)" = 1.2, 0.8..=1.8, Working;
        /// A hot oven to something small on a tray, its radiation included.
        oven_air: "W/(m² K)" = 25.0, 18.0..=35.0, Working;
    }
}

kinds! {
    /// What a pot's wall is like.
    WallFigures of [iron, steel, aluminium, ceramic, glass] {
        /// Outside coefficient in still oven air: dark surfaces take radiation.
        oven_coefficient: "W/(m² K)" = [14.0, 10.0, 10.0, 13.0, 13.0], 0.7..=1.4, Fitted;
        /// Specific heat.
        specific_heat: "J/(kg K)" = [460.0, 500.0, 900.0, 850.0, 830.0], 0.95..=1.05, Published;
        /// Mass of an area: usual thickness times density.
        kg_per_m2: "kg/m²" = [25.0, 16.0, 11.0, 20.0, 14.0], 0.6..=1.5, Working;
    }
}

kinds! {
    /// What a cover does.
    CoverFigures of [tight, foil, loose, ajar, none] {
        /// Share of the vapour that gets past it.
        vapour_share: "" = [0.02, 0.03, 0.12, 0.30, 1.0], 0.5..=2.0, Working;
        /// From what lies over the liquid to meat: where no air gets in, steam condenses on it.
        steam_coefficient: "W/(m² K)" = [250.0, 150.0, 80.0, 40.0, 18.0], 0.6..=1.6, Working;
        /// What the bubbles bring up that it lets go, against a loose lid.
        bubbles_pass: "" = [0.6, 0.6, 1.0, 1.2, 1.5], 0.7..=1.4, Working;
    }
}

kinds! {
    /// How the hob is set.
    SimmerFigures of [lazy, gentle, brisk, boil] {
        /// So far below the local boil; gentle by the fit.
        below_boil_k: "K" = [10.0, 3.0, 1.5, 0.0], 0.5..=1.6, Fitted;
        /// Steam that its bubbles carry off under a loose lid from 26 cm.
        bubbling_g_h: "g/h" = [10.0, 70.0, 185.0, 600.0], 0.6..=1.6, Fitted;
    }
}

group! {
    /// Pots in an oven, on a hob, kept warm, cooling.
    PotFigures {
        /// Above a still liquid, by convection.
        air_coefficient: "W/(m² K)" = 10.0, 5.0..=15.0, Working;
        /// So much more under a fan, of an open pot.
        fan_over_liquid: "W/(m² K)" = 6.0, 3.0..=10.0, Working;
        /// So much more under a fan, of a pot's outside.
        fan_outside: "W/(m² K)" = 6.0, 3.0..=10.0, Working;
        /// Free surface: fat and solids cover the rest.
        free_surface: "" = 0.5, 0.3..=0.8, Working;
        /// Vapour already in the kitchen's or oven's air.
        air_vapour: "kg/m³" = 0.015, 0.005..=0.03, Working;
        /// A simmer is reached this close under the boil.
        simmer_reached_k: "K" = 4.5, 3.0..=6.0, Practice;
        /// Warming to the first bubbles on the hob, time constant: 60 °C in a quarter of an hour.
        rise_s: "s" = 420.0, 240.0..=700.0, Working;
        /// A pot kept warm, time constant.
        keep_warm_s: "s" = 5400.0, 2700.0..=9000.0, Working;
        /// An oven that warms up with the pot in it, time constant.
        cold_oven_s: "s" = 900.0, 500.0..=1500.0, Working;
        /// Liquid cooled shallow over ice water, time constant: 57 to 21 °C in a little over an hour.
        shallow_cooling_s: "s" = 3600.0, 2000.0..=6000.0, Working;
        /// A bath's spread against a pot's: a circulator holds to some tenths.
        bath_steadiness: "" = 0.1, 0.02..=0.3, Working;
        /// Vegetables give their water with this time constant.
        larder_s: "s" = 1800.0, 900.0..=3600.0, Working;
        /// A film this deep is no liquid any more.
        dry_m: "m" = 0.001, 0.0003..=0.003, Working;
        /// Share of the floor that pieces laid side by side can cover.
        floor_cover: "" = 0.85, 0.75..=0.92, Working;
        /// Meat never packs tighter than this share of its own envelope.
        tightest: "" = 0.92, 0.85..=0.98, Working;
    }
}

kinds! {
    /// How a slow cooker's switch is set.
    SwitchFigures of [low, high] {
        /// Where it ends.
        end_c: "°C" = [92.0, 97.0], 0.94..=1.04, Practice;
        /// Its time constant, half full.
        time_s: "s" = [6480.0, 3960.0], 0.6..=1.6, Practice;
    }
}

group! {
    /// How full a slow cooker is.
    Crock {
        /// Its time constant empty, against half full.
        empty: "" = 0.7, 0.5..=0.9, Working;
        /// So much longer a time constant for each filling.
        filling: "" = 0.9, 0.5..=1.3, Working;
    }
}

group! {
    /// Coals under and over an iron pot.
    CoalFigures {
        /// So many for each inch across hold 350 °F.
        per_inch: "1/in" = 2.0, 1.7..=2.3, Practice;
        /// A briquette more or fewer for each of these.
        fahrenheit_each: "°F" = 12.5, 9.0..=16.0, Practice;
        /// A pot deeper than this needs more.
        deep_m: "m" = 0.13, 0.11..=0.16, Practice;
        /// Those more.
        deep_more: "" = 4.0, 2.0..=6.0, Practice;
        /// Heat from coals on the lid that reaches the liquid, against coals beneath.
        over_worth: "" = 0.6, 0.4..=0.9, Working;
        /// Plateau of fresh coals.
        plateau_s: "s" = 1800.0, 1200.0..=2700.0, Practice;
        /// Burning down after it, time constant: 54 % at 45 min.
        burn_down_s: "s" = 1460.0, 900.0..=2200.0, Practice;
        /// Below this the air draws more heat off.
        cold_below_c: "°C" = 15.0, 10.0..=20.0, Practice;
    }
}

group! {
    /// The pressure pot.
    Pressure {
        /// Heat into an electric pot: elements are of 1.0 to 1.2 kW.
        power_w: "W" = 1100.0, 900.0..=1400.0, Working;
        /// Least thin liquid with which it comes up.
        min_litres: "L" = 0.25, 0.2..=0.4, Practice;
        /// A closed pot to the kitchen's air.
        loss: "W/(m² K)" = 11.0, 8.0..=15.0, Working;
        /// Steam drives the air out for so long before the valve closes.
        vent_s: "s" = 150.0, 90.0..=240.0, Practice;
        /// A quick release.
        quick_release_s: "s" = 120.0, 60.0..=180.0, Practice;
        /// Steam past the seal while hot, about 25 g/h.
        seal_loss: "kg/s" = 25.0 / 3.6e6, 0.0..=2e-5, Working;
        /// Juice that a quick release boils out, share of the lean.
        quick_release_juice: "" = 0.03, 0.02..=0.04, Practice;
    }
}

group! {
    /// The pit.
    PitFigures {
        /// Vapour pressure of its air.
        vapour_pa: "Pa" = 2500.0, 1500.0..=5000.0, Working;
        /// Wetness of a raw surface.
        wet: "" = 0.25, 0.15..=0.4, Working;
        /// Wetness that a dry bark keeps.
        bark: "" = 0.006, 0.002..=0.02, Working;
        /// Water gone at which half of the wetness is left.
        dries_at: "kg/m²" = 1.2, 0.7..=2.0, Working;
        /// Wetness under a film of mop.
        mopped: "" = 0.6, 0.3..=0.9, Working;
        /// Water that a coat of mop leaves.
        mop_kg_per_m2: "kg/m²" = 0.075, 0.05..=0.1, Working;
        /// Air lost at an open lid.
        opened_k: "K" = 20.0, 15.0..=25.0, Working;
        /// How long that takes to come back.
        opened_s: "s" = 420.0, 300.0..=600.0, Working;
        /// What one that does not hold itself falls by between tendings.
        untended_k_per_h: "K/h" = 10.0, 5.0..=20.0, Working;
        /// One that is lit with the meat in it, time constant.
        warm_up_s: "s" = 1200.0, 700.0..=2400.0, Working;
        /// A wrap leaves so much of the air's heat.
        wrapped_heat: "" = 0.9, 0.75..=1.0, Working;
    }
}

kinds! {
    /// What meat is wrapped in.
    WrapFigures of [paper, foil] {
        /// Share of the evaporation that it lets by.
        lets_by: "" = [0.25, 0.03], 0.5..=1.8, Working;
    }
}

group! {
    /// The steam oven.
    SteamFigures {
        /// Moving air to meat.
        air: "W/(m² K)" = 12.0, 8.0..=25.0, Working;
        /// What the walls radiate.
        radiation: "W/(m² K)" = 6.0, 4.0..=8.0, Working;
        /// Vapour's share of the pressure is no more, however full the steam.
        most_vapour: "" = 0.98, 0.9..=0.995, Working;
        /// The stream of vapour through what air is left is no more than so many times the thin one's.
        most_stream: "" = 7.0, 4.0..=12.0, Working;
        /// Condensing steam to a covered pan.
        covered: "W/(m² K)" = 500.0, 250.0..=1000.0, Working;
    }
}

group! {
    /// Softening, on the scale of hours at 95 °C.
    Tender {
        /// Activation energy; inside the published range for the hydrolysis of cross-linked collagen.
        activation_energy: "J/mol" = 80_700.0, 60_000.0..=120_000.0, Fitted;
        /// Share of *enough* that the middle has to have.
        middle_share: "" = 0.37, 0.2..=0.95, Fitted;
        /// Mature beef against young.
        mature: "" = 1.4, 1.2..=1.8, Working;
        /// Grass-fed beef against grain-fed.
        grass_fed: "" = 1.1, 1.0..=1.25, Working;
    }
}

group! {
    /// How much softening is enough, of a cut as tough as chuck.
    Enough {
        /// Slices hold.
        slice: "h at 95 °C" = 1.86, 1.0..=3.0, Fitted;
        /// A soft chunk.
        fork: "h at 95 °C" = 2.23, 1.2..=3.5, Fitted;
        /// A probe slides in.
        probe: "h at 95 °C" = 2.40, 1.3..=3.8, Fitted;
        /// It pulls apart.
        pull: "h at 95 °C" = 3.16, 1.7..=5.0, Fitted;
        /// It is soft to a spoon.
        spoon: "h at 95 °C" = 3.79, 2.0..=6.0, Fitted;
    }
}

group! {
    /// How tough a cut is against chuck.
    ToughnessFigures {
        /// Chuck, the measure of the others.
        chuck: "" = 1.0, 1.0..=1.0, Fitted;
        /// Blade.
        blade: "" = 1.05, 0.85..=1.3, Working;
        /// Neck.
        neck: "" = 1.12, 0.9..=1.35, Fitted;
        /// Short rib.
        short_rib: "" = 1.12, 0.9..=1.35, Fitted;
        /// Plate rib.
        plate_rib: "" = 1.10, 0.9..=1.35, Fitted;
        /// Rib finger.
        rib_finger: "" = 0.95, 0.75..=1.15, Fitted;
        /// Flat of the brisket.
        brisket_flat: "" = 1.51, 1.1..=1.8, Fitted;
        /// Point of the brisket.
        brisket_point: "" = 1.15, 0.9..=1.4, Working;
        /// Whole brisket.
        brisket: "" = 1.28, 1.0..=1.6, Fitted;
        /// Corned brisket.
        corned_brisket: "" = 1.13, 0.9..=1.4, Fitted;
        /// Shin and heel.
        shin: "" = 1.43, 1.1..=1.8, Fitted;
        /// Cheek.
        cheek: "" = 1.05, 0.6..=1.9, Fitted;
        /// Oxtail.
        oxtail: "" = 1.31, 1.0..=1.65, Fitted;
        /// Tendon.
        tendon: "" = 1.42, 0.8..=2.6, Fitted;
        /// Round, topside and eye of the round.
        round: "" = 1.14, 0.9..=1.4, Fitted;
        /// Silverside.
        silverside: "" = 1.12, 0.9..=1.4, Fitted;
        /// Skirt and flank.
        skirt: "" = 0.91, 0.7..=1.15, Fitted;
        /// Sirloin.
        sirloin: "" = 0.6, 0.4..=0.8, Working;
        /// What is tender already.
        tender_cut: "" = 0.5, 0.3..=0.7, Working;
        /// A butcher's mix for stewing.
        mixed: "" = 1.0, 0.8..=1.3, Working;
    }
}

group! {
    /// What leaves the meat.
    Juice {
        /// Share of the lean that has left as juice when it is hot through: by published cooking losses.
        most: "" = 0.43, 0.38..=0.48, Fitted;
        /// Where most of it leaves.
        middle_c: "°C" = 64.0, 61.0..=67.0, Fitted;
        /// Over how many degrees.
        width_k: "K" = 7.0, 5.0..=10.0, Fitted;
        /// Juice leaving, time constant.
        leaves_s: "s" = 1200.0, 600.0..=2400.0, Working;
        /// So much more of the lean for each hour at 95 °C.
        late: "1/h" = 0.015, 0.0..=0.03, Working;
        /// And no more than this.
        late_most: "" = 0.05, 0.02..=0.1, Working;
        /// Share of the fat that trimming takes before the cook.
        fat_trimmed: "" = 0.40, 0.25..=0.6, Working;
        /// Share of the fat left that renders out in a wet cook.
        renders_wet: "" = 0.55, 0.35..=0.75, Working;
        /// The same in a pit, where the surface sets and holds some.
        renders_in_a_pit: "" = 0.35, 0.2..=0.55, Working;
        /// Rendering at 85 °C and above, time constant.
        render_s: "s" = 3600.0, 1800.0..=7200.0, Working;
        /// How fast collagen becomes gelatin against softening.
        gelatin_rate: "" = 1.1, 0.7..=1.6, Working;
        /// Share of the dissolved collagen that reaches the liquid.
        gelatin_to_liquid: "" = 0.6, 0.4..=0.8, Working;
        /// Fat and gristle left on the plate, share of the fat still in the meat.
        pulled_off: "" = 0.25, 0.1..=0.4, Working;
    }
}

group! {
    /// Salt between meat and liquid.
    Salt {
        /// Share of raw meat's mass that takes part in its balance.
        water: "" = 0.7, 0.65..=0.75, Published;
        /// It evens out with this time constant at 4 cm.
        evens_s: "s" = 18_000.0, 9_000.0..=36_000.0, Working;
    }
}

group! {
    /// What nobody knows beforehand: standard deviations.
    Spread {
        /// An oven about its dial; coals about their count, too.
        oven_k: "K" = 7.0, 3.0..=15.0, Working;
        /// A simmer, a slow cooker or fat about its word.
        pot_k: "K" = 2.0, 1.0..=4.0, Working;
        /// A pit about its set point.
        pit_k: "K" = 8.0, 3.0..=15.0, Working;
        /// What a lid lets by, of its logarithm.
        lid_ln: "" = 0.4, 0.2..=0.7, Working;
        /// Surface coefficients, of their logarithm.
        coefficient_ln: "" = 0.25, 0.15..=0.4, Working;
        /// A surface's wetness in the pit, of its logarithm.
        wetness_ln: "" = 0.3, 0.15..=0.5, Working;
        /// A probe's tip about the middle, share of the radius.
        placement: "" = 0.10, 0.05..=0.2, Working;
        /// What a bone adds to the time, relative.
        bone_ln: "" = 0.05, 0.0..=0.1, Working;
        /// How much farther out the toughest and tenderest animals are than those of a normal spread.
        far_animals: "" = 0.12, 0.0..=0.25, Working;
    }
}
