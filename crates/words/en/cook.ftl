### The live cook: one sentence on where it stands.

tender = Tender. Keep it hot and covered until it is lifted for the bell.
before = The clock starts when the meat meets the heat.
surprising = No simulated cook foretold that last finding. Check that the probe's tip is in the middle, or fork it.
# $late (Span)
late = In half of such cooks plates come { $late } after the bell or later. A fork check tells most now.
# $chance (Share)
sure = { CAPITAL($chance) } such pieces are tender in time. Look when the sheet says so; there is nothing else to do.
# $chance (Share)
likely = { CAPITAL($chance) } such pieces are tender in time. A fork check narrows that most; a reading in the middle helps early on.
