import type { Prepared } from './bench';

/** What the bench comes to, as the kitchen answered it for the shin of the tests, its curves with fewer points. */
export const prepared: Prepared = {
  sear: {
    words: 'all at once',
    batches: 1,
    per_batch: 3,
    min: 10.325,
    pan_low_c: 204.0,
    stews: false,
    wait_to_brown_min: 0.0,
    batch_min: 10.325,
    side_min: 2.533,
    sides: 4,
    heat_pan_min: 7.502,
    recovery_min: 0.0,
    start_c: 230.0,
    batch_start_c: [230.0],
    most: 3,
    floor_mm: 300.0,
    lies_mm: [95.554, 140.52],
    pans: 1,
    fat: 'oil',
    trace: [
      {
        min: 0.0,
        celsius: 230.0,
      },
      {
        min: 3.167,
        celsius: 204.164,
      },
      {
        min: 6.167,
        celsius: 216.492,
      },
      {
        min: 9.333,
        celsius: 242.697,
      },
    ],
  },
  pot: {
    liquid_l: 1.3,
    poured: [
      {
        what: 'unsalted_stock',
        l: 1.1,
        stays_l: 1.1,
        gelatin_pct: 0.5,
      },
      {
        what: 'red_wine',
        l: 0.4,
        stays_l: 0.2,
        gelatin_pct: 0.5,
      },
    ],
    level_mm: 42.757,
    meat_mm: 56.208,
    meat_l: 2.264,
    marks_mm: {
      now: 42.757,
      half: 21.379,
      stop: 40.907,
      catch: 5.0,
    },
    marks_kg_less: {
      now: 0.0,
      half: 0.65,
      stop: 0.056,
      catch: 1.148,
    },
    loss_l: 0.88,
    top_ups: [],
    left_l: 1.469,
    hours: 3.472,
    fat_mm: 0.591,
    fits: true,
    full: 0.315,
    lid: 'tight',
    height_mm: 160.0,
    across_mm: 300.0,
    holds_l: 11.31,
    depths: [
      {
        mm: 0.0,
        l: 0.0,
      },
      {
        mm: 56.208,
        l: 1.709,
      },
      {
        mm: 160.0,
        l: 9.046,
      },
    ],
  },
  salt: {
    g: 28.5,
    tsp: 4.75,
    depth_mm: [5.879, 9.295],
    to_middle_mm: 28.104,
    from_ingredients_g: 1.1,
    in_meat_g: 28.5,
    sources: [
      {
        name: 'salt on the meat',
        g: 28.5,
      },
      {
        name: 'unsalted stock',
        what: 'unsalted_stock',
        g: 1.1,
      },
    ],
    liquid_g_per_kg: 13.374,
    halved_g_per_kg: 26.747,
  },
  seasoning: {
    sauce_g: 19.9,
    sauce_g_per_kg: 13.547,
    meat_g_per_kg: 8.484,
    plate_g_per_kg: 10.172,
    range_g_per_kg: [9.724, 10.619],
    verdict: 'right',
    stop_at_l: 1.244,
    text: 'Meat and sauce on the plate come to 10 g of salt a kilo together: well salted. Reduced under 1.25 L it grows too salty.',
  },
  trimmed_kg: 2.28,
  portions: 6.929,
  plate_kg: 1.143,
  warnings: [
    {
      id: 'salt_stop',
      text: 'Reduced by half it would be too salty. Stop at the salt mark on the dipstick, or thicken instead.',
    },
  ],
  trimmed: {
    raw_kg: 2.4,
    trimmed_kg: 2.28,
    fat_kg: 0.078,
    sinew_kg: 0.042,
    bone_kg: 0.0,
    pieces: 3,
    piece_kg: 0.76,
    size_mm: [56.208, 95.554, 140.52],
    strings: 0,
    cost: 23.52,
    cost_a_head: 2.94,
    cost_eaten_kg: 20.571,
  },
  balance: {
    sugar_g: 6.688,
    acid_g: 2.178,
    alcohol_g: 41.028,
    alcohol_left: 0.05,
    flags: [],
    allergens: [
      {
        allergen: 'sulphites',
        name: 'sulphites',
        from: ['red wine'],
      },
      {
        allergen: 'celery',
        name: 'celery',
        from: ['unsalted stock'],
      },
    ],
    swaps: [
      {
        what: 'unsalted_stock',
        instead: 'water',
        becomes: {
          what: 'water',
          ml: 100.0,
        },
        words: 'No unsalted stock? Take water: less taste, salt as before.',
        without: ['celery'],
      },
      {
        what: 'red_wine',
        instead: 'unsalted_stock',
        becomes: {
          what: 'unsalted_stock',
          ml: 400.0,
        },
        words:
          'No red wine? Take unsalted stock: with a spoon of vinegar and one of tomato paste; less fruit and no alcohol. It brings celery.',
        without: ['sulphites'],
      },
    ],
  },
  schools: [
    {
      id: 'sear',
      question: 'Brown it?',
      options: [
        {
          id: 'hard',
          words: 'hard',
          effect: '10 min at the pan; a dark sauce, the deepest flavour',
          change: {
            prepare: {},
          },
        },
        {
          id: 'light',
          words: 'light',
          effect: '8 min at the pan; golden, a paler sauce',
          change: {
            prepare: {
              sear: 'light',
            },
          },
        },
        {
          id: 'none',
          words: 'not at all',
          effect: '10 min saved; a paler, cleaner sauce, and no juice lost by it',
          change: {
            prepare: {
              sear: 'none',
            },
          },
        },
      ],
      chosen: 'hard',
      usual: 'hard',
      reason:
        'Browning makes flavour and colour. It does not seal anything in: a seared piece loses as much juice.',
    },
    {
      id: 'surface',
      question: 'Pat it dry?',
      options: [
        {
          id: 'patted',
          words: 'patted dry',
          effect: '2\u00bd min a side, 3 in a batch',
          change: {
            prepare: {},
          },
        },
        {
          id: 'wet',
          words: 'as it is',
          effect: '3 min a side, 3 in a batch',
          change: {
            prepare: {
              surface: 'wet',
            },
          },
        },
      ],
      chosen: 'patted',
      usual: 'patted',
      reason: 'Nothing browns until its water has boiled away, and that heat comes out of the pan.',
    },
    {
      id: 'flour',
      question: 'Dredge it in flour?',
      options: [
        {
          id: 'no',
          words: 'bare',
          effect: 'browns cleanly, and the fat can be skimmed whole',
          change: {
            prepare: {},
          },
        },
        {
          id: 'yes',
          words: 'in flour',
          effect: 'about 60 g cling, and thicken like 39 g; the fat is held in; wheat',
          change: {
            prepare: {
              flour: true,
            },
          },
        },
      ],
      chosen: 'no',
      usual: 'no',
      reason:
        "Thickening at the end can be measured. Flour on the meat can't be taken back, and it burns in the pan.",
    },
    {
      id: 'wine',
      question: 'Boil the red wine down first?',
      options: [
        {
          id: 'halved',
          words: 'by half',
          effect: '9 min at the pan; rounder, darker, deeper',
          change: {
            prepare: {},
          },
        },
        {
          id: 'whole',
          words: 'pour it in as it is',
          effect: '200 mL more liquid in the pot, so less stock; fresher and sharper',
          change: {
            prepare: {
              wine: 'whole',
            },
          },
        },
      ],
      chosen: 'halved',
      usual: 'halved',
      reason: 'Boiled down it loses its rawness and most of its alcohol before the lid shuts them in.',
    },
    {
      id: 'temper',
      question: 'Let it stand out of the fridge?',
      options: [
        {
          id: '0',
          words: 'straight from the fridge',
          effect: 'into the heat as it comes, dry and cold',
          change: {
            prepare: {},
          },
        },
        {
          id: '60',
          words: 'an hour out',
          effect: 'about 6 \u00b0C warmer, and of 3\u00bd h not five minutes saved',
          change: {
            prepare: {
              temper_min: 60.0,
            },
          },
        },
      ],
      chosen: '0',
      usual: '0',
      reason: 'Over hours of cooking it changes little, and raw meat should not stand about.',
    },
    {
      id: 'rinse',
      question: 'Rinse it?',
      options: [
        {
          id: 'no',
          words: 'no',
          effect: 'wipe bone dust off with a damp paper',
          change: {
            prepare: {},
          },
        },
        {
          id: 'yes',
          words: 'yes',
          effect: 'raw juices splash as far as an arm, and it has to be dried again',
          change: {
            prepare: {
              rinse: true,
            },
          },
        },
      ],
      chosen: 'no',
      usual: 'no',
      reason:
        'Guidance is not to rinse raw meat: heat kills what is on it, water spreads it. For a clear broth, blanch it and rinse it then.',
    },
    {
      id: 'clear',
      question: 'A clear broth?',
      options: [
        {
          id: 'no',
          words: 'no',
          effect: 'straight into the liquid; skim the foam at the first boil',
          change: {
            prepare: {},
          },
        },
        {
          id: 'yes',
          words: 'soak, blanch, rinse, start fresh',
          effect:
            "an hour's soak, 10 min from cold to the boil, meat and pot rinsed, fresh water: clear and mild, without browning",
          change: {
            prepare: {
              base: 'water',
              clear: true,
              sear: 'none',
            },
          },
        },
      ],
      chosen: 'no',
      usual: 'no',
      reason: 'Foam is only clouded protein. It does no harm in a braise, and browning is worth more.',
    },
    {
      id: 'day_before',
      question: 'Start today, braise tomorrow?',
      options: [
        {
          id: 'no',
          words: 'all in one go',
          effect: 'nothing to cool',
          change: {
            prepare: {},
          },
        },
        {
          id: 'yes',
          words: 'rest it overnight',
          effect: 'seasoned further in; cool it shallow before it goes into the fridge, and boil it next day',
          change: {
            prepare: {
              day_before: true,
            },
          },
        },
      ],
      chosen: 'no',
      usual: 'no',
      reason: "Most of what a day's rest gives comes after the cooking, not before it.",
    },
    {
      id: 'marinade',
      question: 'Marinate it?',
      options: [
        {
          id: 'no',
          words: 'no',
          effect: 'salt alone goes deep; the rest stays outside',
          change: {
            prepare: {},
          },
        },
        {
          id: 'wine',
          words: 'wine',
          effect: "seasons the outside in 3 to 24 h; kept, it is the pot's wine",
          change: {
            prepare: {
              marinade: {
                hours: 12.0,
                kept: true,
                ml: 500.0,
                of: 'wine',
              },
            },
          },
        },
        {
          id: 'acid',
          words: 'vinegar or lemon',
          effect: 'sharp at the surface in 3 to 12 h; past a day it turns mealy',
          change: {
            prepare: {
              marinade: {
                hours: 6.0,
                kept: false,
                ml: 200.0,
                of: 'acid',
              },
            },
          },
        },
        {
          id: 'spice',
          words: 'spice and oil',
          effect: 'perfumes the surface in 3 to 24 h; scrape it off, it burns',
          change: {
            prepare: {
              marinade: {
                hours: 12.0,
                kept: false,
                ml: 100.0,
                of: 'spice',
              },
            },
          },
        },
        {
          id: 'soy',
          words: 'soy and sugar',
          effect: 'salts as well as colours; it scorches in the pan, so go gentler',
          change: {
            prepare: {
              marinade: {
                hours: 6.0,
                kept: true,
                ml: 200.0,
                of: 'soy',
              },
              sugared: true,
            },
          },
        },
      ],
      chosen: 'no',
      usual: 'no',
      reason: 'Tenderness comes from hours of heat. A marinade only works on the surface, and makes it wet.',
    },
  ],
  because: {
    meat: [
      'Thickness rules the hours, weight the liquid: half as thick is done much sooner, twice the pieces of the same thickness are not.',
      'About 42 g of what comes off is sinew: in the pot it gives body, so there is less to reduce.',
    ],
    salt: [
      'Salt walks in with the square root of time: four times the hours, twice as deep. The rest evens out in the pot.',
      "What goes in beside it brings 1.1 g of salt, on top of the meat's own.",
    ],
    sear: [
      'A piece browns only where its water has boiled off, and that takes heat out of the pan faster than the burner gives it.',
      'Up to 3 at once keep this pan above 150 \u00b0C; it starts at 230 \u00b0C.',
    ],
    pot: [
      'What the meat does not take up, the liquid does: 2.25 L of meat in a pot of 11.3 L.',
      'Read the marks on a skewer pushed to the floor, or weigh the pot.',
    ],
    heat: [
      'Under a lid a pot boils in almost any oven; the dial decides how much water goes. Hotter is sooner, drier, and rougher on the pieces.',
      'Shin is full of sinew. In a 150 \u00b0C oven the liquid boils gently, at 99 \u00b0C. A piece 5.6 cm thick has to get hot to the middle and then soften: half of such pieces are fork-tender after 3\u00bd h.',
    ],
    later: ['Each has its own time to be done and to be mush; a cooler pot softens roots more slowly.'],
    list: ['All of it follows from the bench: what changes there changes here.'],
  },
  steps: [
    {
      id: 'trim',
      kind: 'trim',
      what: 'Trim off about 120 g of heavy fat and silver skin',
      why: 'Silver skin never softens, and fat beyond a film only has to be skimmed later.',
      min: 9.0,
      cautions: [
        {
          id: 'raw_meat',
          text: "Raw juices spread. Don't rinse the meat; wash hands, board and tongs after it.",
        },
      ],
    },
    {
      id: 'sear_1',
      kind: 'sear',
      what: 'Brown all 4 pieces on every side',
      why: 'It lets go of the pan when it is brown. Keep the juices from the resting plate: they go back in.',
      min: 14.0,
      cautions: [],
    },
    {
      id: 'deglaze',
      kind: 'deglaze',
      what: 'Scrape up the brown with a ladle of unsalted stock',
      why: 'What sticks is flavour.',
      min: 3.0,
      cautions: [],
    },
  ],
  dial: [
    {
      words: '100 \u00b0C',
      looks: 'a true slow braise, below the simmer',
      heat: {
        source: 'oven',
        set_c: 100.0,
      },
      chosen: false,
      ready_min: 287.808,
      loss_l: 0.08,
      juice_kg: 1.047,
      yield_kg: 1.144,
      window_min: 258.539,
      breaks_up: false,
    },
    {
      words: '120 \u00b0C',
      looks: 'just at the simmer, little water leaves',
      heat: {
        source: 'oven',
        set_c: 120.0,
      },
      chosen: false,
      ready_min: 217.334,
      loss_l: 0.315,
      juice_kg: 1.047,
      yield_kg: 1.145,
      window_min: 226.289,
      breaks_up: false,
    },
    {
      words: '175 \u00b0C',
      looks: 'it boils',
      heat: {
        source: 'oven',
        set_c: 175.0,
      },
      chosen: false,
      ready_min: 207.465,
      loss_l: 1.375,
      juice_kg: 1.047,
      yield_kg: 1.145,
      window_min: 226.286,
      breaks_up: false,
    },
    {
      words: '200 \u00b0C',
      looks: 'it boils',
      heat: {
        source: 'oven',
        set_c: 200.0,
      },
      chosen: false,
      ready_min: 207.338,
      loss_l: 1.874,
      juice_kg: 1.047,
      yield_kg: 1.145,
      window_min: 226.289,
      breaks_up: false,
    },
  ],
  later: [],
  take_out: [],
  shopping: [
    {
      shelf: 'butcher',
      name: 'Shin, boneless',
      g: 2400.0,
      note: '3 pieces, about 5.6 cm thick',
      cost: 23.52,
    },
    {
      shelf: 'cellar',
      name: 'red wine',
      ml: 400.0,
    },
    {
      shelf: 'dry',
      name: 'fine salt',
      g: 28.5,
    },
    {
      shelf: 'dry',
      name: 'unsalted stock',
      ml: 1100.0,
    },
  ],
  hours: 3.472,
  forecast: {
    suitable: true,
    why: 'Shin is full of sinew. In a 150 \u00b0C oven the liquid boils gently, at 99 \u00b0C. A piece 5.6 cm thick has to get hot to the middle and then soften: half of such pieces are fork-tender after 3\u00bd h.',
    ready_min: {
      p10: 173.933,
      p50: 208.334,
      p90: 253.955,
    },
    overcooked_min: {
      p10: 355.871,
      p50: 435.535,
      p90: 539.254,
    },
    chance_ready: null,
    chance_in_window: null,
    parts: [],
    stages: [
      {
        method: 'braise',
        words: 'a 150 \u00b0C oven',
        from_min: 0.0,
        to_min: null,
      },
    ],
    at_pressure_min: null,
    curve: [
      {
        min: 0.0,
        core_c: 5.0,
        surface_c: 5.0,
        medium_c: 60.0,
        air_c: 150.0,
        softening_h: 0.0,
        liquid_l: 1.3,
        steam_kg: 0.0,
        juice_kg: 0.0,
        fat_l: 0.0,
        gelatin_g: 0.0,
        salt_g: 1.1,
        yield_kg: 2.262,
        stage: 0,
      },
      {
        min: 145.0,
        core_c: 98.32,
        surface_c: 99.2,
        medium_c: 99.28,
        air_c: 150.0,
        softening_h: 1.785,
        liquid_l: 1.766,
        steam_kg: 0.532,
        juice_kg: 0.998,
        fat_l: 0.037,
        gelatin_g: 39.91,
        salt_g: 18.95,
        yield_kg: 1.204,
        stage: 0,
      },
      {
        min: 290.0,
        core_c: 99.27,
        surface_c: 99.28,
        medium_c: 99.28,
        air_c: 150.0,
        softening_h: 5.033,
        liquid_l: 1.024,
        steam_kg: 1.33,
        juice_kg: 1.054,
        fat_l: 0.043,
        gelatin_g: 50.62,
        salt_g: 19.92,
        yield_kg: 1.134,
        stage: 0,
      },
      {
        min: 435.0,
        core_c: 99.28,
        surface_c: 99.28,
        medium_c: 99.28,
        air_c: 150.0,
        softening_h: 8.304,
        liquid_l: 0.224,
        steam_kg: 2.13,
        juice_kg: 1.054,
        fat_l: 0.044,
        gelatin_g: 51.5,
        salt_g: 18.6,
        yield_kg: 1.133,
        stage: 0,
      },
    ],
    enough_softening_h: 3.189,
    overcooked_softening_h: 8.291,
    toughness: 1.43,
    come_up_min: 22.629,
    mass_kg: 2.4,
    pieces: 3,
    liquid_l: 1.3,
    yield_kg: 1.142,
    juice_lost_kg: 1.05,
    fat_l: 0.042,
    liquid_left_l: 1.461,
    gelatin_g: 47.74,
    salt_g: 19.923,
    portions: 6.918,
    thumb: [
      {
        rule: 'An hour a pound for one joint',
        min: 105.0,
        why: '1 h 45 min shorter than the forecast: it counts weight, but thickness and sinew rule the time.',
      },
      {
        rule: 'About three hours for a joint',
        min: 180.0,
        why: 'It agrees with the forecast here.',
      },
      {
        rule: 'Three times as long as under pressure',
        min: 295.0,
        why: '1 h 25 min longer than the forecast: the pressure pot spends much of its time coming up.',
      },
    ],
    cautions: [],
    notes: [],
    assumed: [
      {
        field: 'size_mm',
        name: 'size',
        value: '5.6 \u00d7 9.6 \u00d7 14.1 cm',
        why: "from the mass and the cut's usual shape",
      },
      {
        field: 'eaten_as',
        name: 'eaten as',
        value: 'fork',
        why: 'how this cut is usually eaten',
      },
      {
        field: 'age',
        name: 'the animal',
        value: 'young',
        why: 'most beef is',
      },
      {
        field: 'start_c',
        name: 'from',
        value: '5 \u00b0C',
        why: 'straight from the fridge',
      },
      {
        field: 'vessel.lid',
        name: 'the lid',
        value: 'lid on tight',
        why: 'usual for this heat',
      },
      {
        field: 'liquid_l',
        name: 'liquid',
        value: '1.3 L',
        why: 'three quarters up the meat',
      },
      {
        field: 'liquid_start_c',
        name: 'liquid at first',
        value: '60 \u00b0C',
        why: 'hot liquid into a hot pot',
      },
    ],
  },
  assumed: [
    {
      field: 'size_mm',
      name: 'size',
      value: '5.6 \u00d7 9.6 \u00d7 14.1 cm',
      why: "from the mass and the cut's usual shape",
    },
    {
      field: 'eaten_as',
      name: 'eaten as',
      value: 'fork',
      why: 'how this cut is usually eaten',
    },
    {
      field: 'age',
      name: 'the animal',
      value: 'young',
      why: 'most beef is',
    },
    {
      field: 'start_c',
      name: 'from',
      value: '5 \u00b0C',
      why: 'straight from the fridge',
    },
    {
      field: 'vessel.lid',
      name: 'the lid',
      value: 'lid on tight',
      why: 'usual for this heat',
    },
    {
      field: 'liquid_l',
      name: 'liquid',
      value: '1.3 L',
      why: 'three quarters up the meat',
    },
    {
      field: 'liquid_start_c',
      name: 'liquid at first',
      value: '60 \u00b0C',
      why: 'hot liquid into a hot pot',
    },
  ],
  dish: {
    people: 8,
    method: 'braise',
    chain: false,
    heat: {
      source: 'oven',
      set_c: 150.0,
    },
    eaten_as: 'fork',
    mass_kg: 2.4,
    bench: {
      trim: 'usual',
      sinew_in_pot: false,
      strings: 0,
      pierced: false,
      salt_h: 12.0,
      salt_pct: 1.25,
      crystal: 'fine',
      rinse: false,
      clear: false,
      temper_min: 0.0,
      day_before: false,
      surface: 'patted',
      sear: 'hard',
      sear_in: 'pan',
      flour: false,
      sugared: false,
      base: 'unsalted_stock',
      wine: 'halved',
      ingredients: [
        {
          what: 'red_wine',
          ml: 400.0,
        },
      ],
      wood: 'oak',
      later: [],
    },
    vessel: {
      diameter_cm: 30.0,
      width_cm: null,
      length_cm: null,
      height_cm: 16.0,
      material: 'iron',
      lid: 'tight',
    },
    pan: {
      diameter_cm: 30.0,
      material: 'iron',
    },
    burner: {
      watts: 2000.0,
      kind: 'gas',
    },
    fat: 'oil',
  },
  offers: {
    cut_up: [
      {
        id: 'whole',
        words: 'as it comes',
        chosen: false,
        change: {
          forecast: {
            pieces: null,
          },
        },
      },
      {
        id: 'pieces',
        words: 'pieces',
        chosen: true,
        change: {
          forecast: {
            pieces: 6,
          },
        },
      },
      {
        id: 'cubes',
        words: 'cubes',
        chosen: false,
        change: {
          forecast: {
            pieces: null,
            size_mm: [40.0, 40.0, 40.0],
          },
        },
      },
    ],
    thickness: {
      mm: 56.0,
      least_mm: 20.0,
      most_mm: 140.0,
      cube: false,
    },
    salting: [
      {
        id: 'dry',
        words: 'rubbed on',
        chosen: true,
        change: {},
      },
      {
        id: 'brine',
        words: 'brine',
        chosen: false,
        change: {
          prepare: {
            brine: {
              hours: 24.0,
              water_l: 2.0,
            },
          },
        },
      },
    ],
    less_salt: [
      {
        id: 'usual',
        words: 'as usual',
        chosen: true,
        change: {},
      },
      {
        id: 'low',
        words: 'low',
        chosen: false,
        change: {
          prepare: {
            salt_pct: 0.7,
          },
        },
      },
    ],
    soak: [],
    sear_in: [
      {
        id: 'pan',
        words: 'one pan',
        chosen: true,
        change: {},
      },
      {
        id: 'two_pans',
        words: 'two pans',
        chosen: false,
        change: {
          prepare: {
            sear_in: 'two_pans',
          },
        },
      },
      {
        id: 'pot_and_lid',
        words: 'pot and its iron lid',
        chosen: false,
        change: {
          prepare: {
            sear_in: 'pot_and_lid',
          },
        },
      },
      {
        id: 'lid',
        words: 'an iron lid over the fire',
        chosen: false,
        change: {
          prepare: {
            sear_in: 'lid',
          },
        },
      },
      {
        id: 'pot',
        words: 'the pot',
        chosen: false,
        change: {
          prepare: {
            sear_in: 'pot',
          },
        },
      },
    ],
    batches: [
      {
        id: 'fewer',
        words: 'fewer',
        chosen: false,
        change: {
          prepare: {
            per_batch: 2,
          },
        },
      },
      {
        id: 'more',
        words: 'more',
        chosen: false,
        change: {
          prepare: {
            per_batch: 3,
          },
        },
      },
    ],
    pan: [
      {
        id: 'pan_1',
        words: 'Black pan',
        chosen: true,
        change: {
          uses: {
            pan: 'pan_1',
          },
        },
      },
      {
        id: 'pan_2',
        words: 'Dented pan, lent out',
        chosen: false,
        change: {
          uses: {
            pan: 'pan_2',
          },
        },
      },
    ],
    burner: [
      {
        id: 'burner_1',
        words: 'Large burner',
        chosen: true,
        change: {
          uses: {
            burner: 'burner_1',
          },
        },
      },
      {
        id: 'burner_2',
        words: 'Small burner',
        chosen: false,
        change: {
          uses: {
            burner: 'burner_2',
          },
        },
      },
    ],
    level: [
      {
        id: 'own',
        words: 'own juice',
        chosen: false,
        change: {
          prepare: {
            level: 'own',
          },
        },
      },
      {
        id: 'third',
        words: 'a third',
        chosen: false,
        change: {
          prepare: {
            level: 'third',
          },
        },
      },
      {
        id: 'three_quarters',
        words: 'three quarters',
        chosen: true,
        change: {
          prepare: {
            level: 'three_quarters',
          },
        },
      },
      {
        id: 'covered',
        words: 'covered',
        chosen: false,
        change: {
          prepare: {
            level: 'covered',
          },
        },
      },
      {
        id: 'soup',
        words: 'soup',
        chosen: false,
        change: {
          prepare: {
            level: 'soup',
          },
        },
      },
    ],
    pot: [
      {
        id: 'pot_1',
        words: 'Blue iron pot',
        chosen: true,
        change: {
          uses: {
            pot: 'pot_1',
          },
        },
      },
      {
        id: 'pot_2',
        words: 'Little iron pot',
        chosen: false,
        change: {
          uses: {
            pot: 'pot_2',
          },
        },
      },
      {
        id: 'pot_3',
        words: 'Roasting tin',
        chosen: false,
        change: {
          uses: {
            pot: 'pot_3',
          },
        },
      },
    ],
    shape: [
      {
        id: 'round',
        words: 'round',
        chosen: false,
        change: {
          forecast: {
            vessel: {
              diameter_cm: 30.0,
              height_cm: 16.0,
              material: 'iron',
            },
          },
        },
      },
      {
        id: 'tin',
        words: 'tin or dish',
        chosen: false,
        change: {
          forecast: {
            vessel: {
              height_cm: 8.0,
              length_cm: 35.0,
              material: 'iron',
              width_cm: 25.0,
            },
          },
        },
      },
    ],
    source: [
      {
        id: 'oven',
        words: 'the oven',
        chosen: true,
        change: {
          forecast: {
            heat: {
              set_c: null,
            },
          },
        },
      },
      {
        id: 'hob',
        words: 'the hob',
        chosen: false,
        change: {
          forecast: {
            heat: {
              set_c: null,
              simmer: 'gentle',
              source: 'hob',
            },
          },
        },
      },
      {
        id: 'coals',
        words: 'coals',
        chosen: false,
        change: {
          forecast: {
            heat: {
              set_c: null,
              source: 'coals',
            },
          },
        },
      },
    ],
    heat: [
      {
        id: 'oven_1',
        words: 'Wall oven',
        chosen: true,
        change: {
          uses: {
            heat: 'oven_1',
          },
        },
      },
    ],
    ending: [
      {
        id: 'same',
        words: 'as before',
        chosen: true,
        change: {},
      },
      {
        id: 'none',
        words: 'uncovered, meat turned up for a crust',
        chosen: false,
        change: {
          forecast: {
            heat: null,
            method: null,
            stages: [
              {
                heat: {
                  set_c: 150.0,
                  source: 'oven',
                },
                method: 'braise',
                until: {
                  min: 180.0,
                },
              },
              {
                lid: 'none',
              },
            ],
          },
        },
      },
      {
        id: 'ajar',
        words: 'lid ajar, to lose water',
        chosen: false,
        change: {
          forecast: {
            heat: null,
            method: null,
            stages: [
              {
                heat: {
                  set_c: 150.0,
                  source: 'oven',
                },
                method: 'braise',
                until: {
                  min: 180.0,
                },
              },
              {
                lid: 'ajar',
              },
            ],
          },
        },
      },
    ],
    later: [
      {
        what: 'potato',
        name: 'potatoes',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'carrot',
        name: 'carrots',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'swede',
        name: 'swede',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'cabbage',
        name: 'cabbage',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'leek',
        name: 'leeks',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'pearl_onion',
        name: 'pearl onions',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'mushroom',
        name: 'mushrooms',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'peas',
        name: 'peas',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'cooked_beans',
        name: 'cooked beans',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'soaked_beans',
        name: 'soaked dried beans',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'dumplings',
        name: 'dumplings',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'prunes',
        name: 'prunes',
        g: 960.0,
        chosen: false,
      },
      {
        what: 'soft_herbs',
        name: 'soft herbs',
        g: 960.0,
        chosen: false,
      },
    ],
  },
  minds: {
    meat: [],
    salt: [
      {
        id: 'salt_stop',
        text: 'Reduced by half it would be too salty. Stop at the salt mark on the dipstick, or thicken instead.',
      },
    ],
    sear: [],
    pot: [],
    heat: [],
    later: [],
  },
};
