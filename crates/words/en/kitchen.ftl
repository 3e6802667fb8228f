### What stands in the kitchen.

## What a thing is called until its cook calls it something else.

# $kind (Key)
thing =
    { $kind ->
        [hands] The cook
        [oven] The oven
        [burner] The large burner
        [pot] The iron pot
        [pan] The frying pan
        [pressure_pot] The pressure pot
        [slow_cooker] The slow cooker
        [pit] The pit
        [bath] The water bath
       *[coals] The coals
    }

id-taken = two things must not have the same id

## What a dish is short of.

# $thing (Text)
lent-out = { $thing } is lent out; the figures hold for when it is back
# $pans (Count) $burners (Count)
two-pans =
    { $pans ->
        [0] there is no pan free
        [one] there is one pan free
       *[other] there are { $pans } pans free
    } and { $burners ->
        [0] no burner
        [one] one burner
       *[other] { $burners } burners
    }: two pans at once want two of each

## The forms on which things are described.

# $kind (Key)
thing-word =
    { $kind ->
        [hands] pair of hands
        [oven] oven
        [hob] burner
        [pot] pot or dish
        [pan] frying pan
        [pressure_pot] pressure pot
        [slow_cooker] slow cooker
        [steam_oven] steam oven
        [pit] pit
        [water_bath] water bath
        [coals] place for coals
       *[probe] thermometer
    }

# What can be cooked on or in, in a sentence. $kit (Key)
kit =
    { $kit ->
        [oven] oven
        [hob] hob
        [pressure_pot] pressure pot
        [slow_cooker] slow cooker
        [steam_oven] steam oven
        [pit] pit
        [water_bath] water bath
       *[coals] coals
    }

# $thing (Key) $what (Message)
too-few = { $thing ->
        [hands] There are too few hands for this at one time
        [hob] There are too few burners for this at one time
        [pan] There are too few pans for this at one time
        [oven] The oven is taken, or stands at another temperature
        [pit] The pit is taken, or stands at another temperature
        [water_bath] The bath is taken, or stands at another temperature
        [pressure_pot] The pressure pot is taken
        [slow_cooker] The slow cooker is taken
        [steam_oven] The steam oven is taken, or stands at another temperature
       *[other] There is no other place for coals
    }: { $what }.

# Where something is done, beside a strip of it. $lane (Key)
lane-word =
    { $lane ->
        [pressure_pot] pressure
        [crock] crock
        [pit] pit
        [bath] bath
        [steam_oven] steam
        [oven] oven
        [hob] hob
        [fire] fire
        [cold] cold
        [board] board
       *[hands] hands
    }

# $field (Key)
field-label =
    { $field ->
        [oven_width_cm] Shelf width
        [oven_fan] Fan
        [burner_watts] Power
        [burner_kind] Heated by
        [pan_diameter_cm] Across the floor
        [pan_material] Made of
        [pressure_pot_diameter_cm] Across the insert
        [pressure_pot_height_cm] Height inside
        [pressure_pot_watts] Element
        [slow_cooker_diameter_cm] Across the crock
        [slow_cooker_height_cm] Height inside
        [pit_width_cm] Grate width
        [pit_holds_itself] Heat
        [bath_litres] Water
        [pot_diameter_cm] Across
        [pot_width_cm] Width
        [pot_length_cm] Length
        [pot_height_cm] Height inside
        [pot_material] Made of
       *[probe_probe] Name it sends under
    }

# $field (Key)
field-how =
    { $field ->
        [oven_width_cm] Measure the shelf from side to side.
        [oven_fan] A fan browns and dries more at the same setting.
        [burner_watts] It is on the plate under the hob, or in its booklet.
        [burner_kind] Gas gives the pan less of its power than a plate does.
        [pan_diameter_cm] Measure the flat floor, not the rim.
        [pan_material] Heavy iron keeps its heat when cold meat goes in.
        [pressure_pot_diameter_cm] Measure the insert inside, from wall to wall.
        [pressure_pot_height_cm] From the floor to the rim.
        [pressure_pot_watts] It is on the plate under the pot.
        [slow_cooker_diameter_cm] Measure the crock inside, from wall to wall.
        [slow_cooker_height_cm] From the floor to the rim.
        [pit_width_cm] Measure the grate from side to side.
        [pit_holds_itself] Does it keep its temperature for hours with nobody there?
        [bath_litres] As much as it holds when the bags are in.
        [pot_diameter_cm] Measure inside, from wall to wall.
        [pot_width_cm] Measure the short side inside.
        [pot_length_cm] Measure the long side inside.
        [pot_height_cm] From the floor to the rim.
        [pot_material] Glass, ceramic and tins stay off the flame.
       *[probe_probe] As the thermometer or its hub calls itself.
    }

# $word (Key)
field-word =
    { $word ->
        [gas] gas
        [induction] induction
        [iron] iron
        [steel] steel
        [aluminium] aluminium
        [glass] glass
       *[ceramic] ceramic
    }

# $field (Key) $yes (Key)
field-yes =
    { $field ->
        [pit_holds_itself]
            { $yes ->
                [yes] holds by itself
               *[no] wants tending
            }
       *[oven_fan]
            { $yes ->
                [yes] runs
               *[no] off
            }
    }
