### A meal: several dishes worked back from one bell.

# $number (Count)
dish = Dish { $number }

## The whole.

# $dishes (Count) $certainty (Share)
why = { $dishes } dishes land together at the bell; each is tender in time in { $certainty } such cooks, and what is tender sooner waits hot.
# $certainty (Share)
why-one = It lands at the bell; it is tender in time in { $certainty } such cooks, and if it is tender sooner it waits hot.
# $late (RoughMinutes)
why-late = Begun now, everything lands { $late } after the bell.
# $late (RoughMinutes)
late = Plates come { $late } after the bell.
# $dish (Message) $time (RoughMinutes)
late-alone = { $dish } can't be ready sooner: begun now it needs { $time } to the plate.
# $thing (Message) $sooner (RoughMinutes)
late-for-want-of = The dishes wait for each other: one more { $thing } would have it { $sooner } sooner.
late-in-all = There is more to do than the time from now allows.
# $dish (Message) $text (Message)
of-dish = { $dish }: { $text }
# $dish (Message) $text (Message)
for-dish = { $dish }: { $text }

## An oven that is shared.

# $dish (Message) $from (Dial) $to (Dial) $by (RoughMinutes)
gave-way = { $dish } gives way: { $to } in place of { $from }, and is done { $by } sooner.
    .longer = { $dish } gives way: { $to } in place of { $from }, and takes { $by } longer.

## A wrap that waits.

# $dish (Message) $from (Temperature) $to (Temperature) $by (RoughMinutes)
wrapped-when-up = { $dish }: the wrap waits until somebody is up, { $to } in the middle in place of { $from }; that takes { $by } longer.

## The night the clocks change.

# $was (Instant) $is (Instant)
clocks-back = At { $was } the clocks go back to { $is }: that hour comes twice.
# $was (Instant) $is (Instant)
clocks-forward = At { $was } the clocks go forward to { $is }: the hour between is left out.

# Beside an hour that the clock shows for the second time.
second-time = {" "}(the second time)

## Ways out.

more-hands = Get a second pair of hands
    .trade = Somebody gives up their time.
second-pan = Use a second pan
    .trade = One more to wash.
more-burners = Borrow a burner
    .trade = One more thing to carry and to watch.
more-ovens = Borrow an oven
    .trade = Somebody else's oven heats otherwise: look sooner.
# $time (RoughMinutes)
less-sleep = Stay up { $time } longer and get up as much sooner
    .trade = A short night.

# $day (Message)
table = { $day }’s table

# Who does it, of hands that were borrowed.
helper = a helper

## Pots.

# $pot (Message) $first (Message) $second (Message)
one-pot-for-two = One pot too few: { $first } stands in the { $pot } while { $second } needs it. Borrow one for { $second }, or cook them one after the other.

## What was filled in.

# $field (Key)
assumed-name = { $field ->
        [zone] zone
        [now] now
        [serve_at] bell
        [kitchen] kitchen
        [certainty] certainty
       *[asleep] asleep
    }
assumed-its-things = the things that stand in it
assumed-nobody-sleeps = nobody sleeps
assumed-kitchen = as the kitchen says
assumed-clock = by the clock
assumed-nothing-said = nothing was said
assumed-first-of-two = the clocks go back and this hour comes twice: the first of the two

## A dish as a recipe.

# $amount (Mass) $what (Message)
ingredient = { $amount } { $what }
# $volume (Volume) $what (Message)
ingredient-poured = { $volume } { $what }
# $count (Count) $what (Message)
ingredient-counted = { $count } { $what }
