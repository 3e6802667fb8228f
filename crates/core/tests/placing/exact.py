"""Hands placing problems to CP-SAT and says what it came to.

    pip install ortools
    ergastic sheet meal.json > sheet.json        # the request with "problem": true
    python3 exact.py sheet.json [seconds]

Each file is a sheet's answer with its `problem`; docs/model.md says how it is read. `--keep FILE` adds a line for each to a file as
tests/placing/meals.jsonl.gz holds them (unpacked).
"""

import json
import sys

from ortools.sat.python import cp_model

# Prices are counted in ten-thousandths.
SC = 10000


def solve(pr, limit, hint=True, workers=2):
    m = cp_model.CpModel()
    jobs = pr["jobs"]
    kinds = pr["kinds"]
    now = pr["now"]
    LATE = 4 * 1440
    lo = max(now, -9 * 1440)
    L = m.NewIntVar(0, LATE if pr.get("late_price") else 0, "L")
    obj = []
    if pr.get("late_price"):
        obj.append((int(pr["late_price"] * SC), L))
    J = []
    for n, j in enumerate(jobs):
        pin = j.get("pinned")
        d = dict(j=j)
        if pin is not None:
            s = m.NewConstant(pin)
        elif j.get("grid") is not None:
            c = (-(j["grid"] + pr["clock"])) % 5
            k = m.NewIntVar((lo - c) // 5, (LATE - c) // 5 + 1, f"k{n}")
            s = m.NewIntVar(lo, LATE + 10, f"s{n}")
            m.Add(s == 5 * k + c)
        else:
            s = m.NewIntVar(lo, LATE + 10, f"s{n}")
        d["s"] = s
        give = j["give"]
        on = None  # literal: at its full length
        if isinstance(give, dict) and "dropped" in give:
            on = m.NewBoolVar(f"on{n}")
            d["kind"] = "dropped"
            obj.append((int(give["dropped"] * SC), 1 - on))
        elif isinstance(give, dict):
            on = m.NewBoolVar(f"on{n}")
            d["kind"] = "squeezed"
            obj.append((int(give["squeezed"] * SC), 1 - on))
        else:
            d["kind"] = "never"
        d["on"] = on
        spans = [t["span"] for t in j["takes"] if t["kind"] == 0] + j["there"]
        if pin is None:
            bad = []
            for sp in spans:
                if sp["to"] <= sp["from"]:
                    continue
                for sh in pr["shut"]:
                    a, b = sh["from"] - sp["to"] + 1, sh["to"] - sp["from"] - 1
                    if a <= b:
                        bad.append([a, b])
            if bad:
                dom = cp_model.Domain.FromIntervals(bad).complement()
                c = m.AddLinearExpressionInDomain(s, dom)
                if on is not None:
                    c.OnlyEnforceIf(on)
        nd = j.get("by_day")
        if nd and pin is None:
            for ni, night in enumerate(pr["nights"]):
                if night["to"] < lo:
                    continue
                b = m.NewBoolVar("")
                a = m.NewBoolVar("")
                x = m.NewBoolVar("")
                m.Add(s + j["len"] <= night["from"]).OnlyEnforceIf(b)
                m.Add(s >= night["to"]).OnlyEnforceIf(a)
                lits = [a, b, x]
                if on is not None and d["kind"] == "dropped":
                    lits.append(on.Not())
                m.AddBoolOr(lits)
                obj.append((int(nd * SC), x))
        J.append(d)

    def moment(n, at):
        d = J[n]
        if d["kind"] == "squeezed":
            return d["s"] + at * d["on"]
        return d["s"] + at

    def lits(*ns):
        return [J[n]["on"] for n in ns if J[n]["kind"] == "dropped"]

    for n, d in enumerate(J):
        j = d["j"]
        pl = j["place"]
        if "serve_at" in pl:
            b = pl["serve_at"]
            e1 = m.NewIntVar(0, b["most"], "")
            e2 = m.NewIntVar(0, 20000, "")
            m.Add(L - d["s"] - j["len"] == e1 + e2)
            obj += [(int(b["price"] * SC), e1), (int(b["beyond"] * SC), e2)]
        elif "near" in pl:
            q = pl["near"]
            to = moment(q["to"]["job"], q["to"]["at"])
            ls = lits(n, q["to"]["job"])
            a = m.Add(d["s"] >= to - q["earlier"])
            b = m.Add(d["s"] <= to + q["later"])
            if ls:
                a.OnlyEnforceIf(ls)
                b.OnlyEnforceIf(ls)
            dv = m.NewIntVar(0, 20000, "")
            x = m.Add(dv >= d["s"] - to)
            y = m.Add(dv >= to - d["s"])
            if ls:
                x.OnlyEnforceIf(ls)
                y.OnlyEnforceIf(ls)
            obj.append((int(q["price"] * SC), dv))
        else:
            for g in pl["before"]:
                t = g["then"]["job"]
                ls = lits(n, t)
                wait = moment(t, g["then"]["at"]) - moment(n, g["at"])
                c = m.Add(wait >= g["least"])
                u = m.NewIntVar(0, max(0, g["ideal"] - g["least"]) + 0, "")
                o = m.NewIntVar(0, max(0, g["most"] - g["ideal"]), "")
                b = m.NewIntVar(0, 30000, "")
                e = m.Add(wait == g["ideal"] - u + o + b)
                if ls:
                    c.OnlyEnforceIf(ls)
                    e.OnlyEnforceIf(ls)
                if g.get("broken"):
                    past = m.NewBoolVar("")
                    m.Add(b == 0).OnlyEnforceIf(past.Not())
                    obj.append((int(g["broken"] * SC), past))
                obj += [
                    (int(round(g["under"] * SC)), u),
                    (int(round(g["over"] * SC)), o),
                    (int(round(g["beyond"] * SC)), b),
                ]
        if j["give"] == "never" and "before" in pl and not pl["before"] and j.get("pinned") is None:
            m.Add(d["s"] + j["len"] <= L)
    uses = {}
    for n, d in enumerate(J):
        for t in d["j"]["takes"]:
            ln = t["span"]["to"] - t["span"]["from"]
            if ln <= 0:
                continue
            st = d["s"] + t["span"]["from"]
            uses.setdefault(t["kind"], []).append((st, ln, st + ln, t["setting"], d["on"]))
    for b in pr["bookings"]:
        f = moment(b["from"]["job"], b["from"]["at"])
        to = moment(b["to"]["job"], b["to"]["at"])
        if b.get("kind") is not None:
            sz = m.NewIntVar(0, 20000, "")
            m.Add(sz == to - f)
            uses.setdefault(b["kind"], []).append((f, sz, to, b["setting"], None))
        if b.get("watched") is not None:
            for sh in pr["shut"]:
                if sh["to"] < lo:
                    continue
                ov = m.NewIntVar(0, sh["to"] - sh["from"], "")
                # overlap>= min(to,sh.to)-max(f,sh.from)
                mn = m.NewIntVar(-20000, 20000, "")
                mx = m.NewIntVar(-20000, 20000, "")
                m.AddMinEquality(mn, [to, sh["to"]])
                m.AddMaxEquality(mx, [f, sh["from"]])
                m.Add(ov >= mn - mx)
                obj.append((int(b["watched"] * SC), ov))
    for k, us in uses.items():
        cnt, room = kinds[k]["count"], kinds[k]["room"]

        def iv(u, lit=None):
            st, ln, en, _, on = u
            ls = [x for x in (on, lit) if x is not None]
            if not ls:
                return m.NewIntervalVar(st, ln, en, "")
            if len(ls) == 1:
                l = ls[0]
            else:
                l = m.NewBoolVar("")
                m.AddBoolAnd(ls).OnlyEnforceIf(l)
                m.AddBoolOr([x.Not() for x in ls] + [l])
            return m.NewOptionalIntervalVar(st, ln, en, l, "")

        if room == 1:
            m.AddCumulative([iv(u) for u in us], [1] * len(us), cnt)
            continue
        if len({u[3] for u in us}) == 1:
            m.AddCumulative([iv(u) for u in us], [1] * len(us), cnt * room)
            continue
        assign = [[m.NewBoolVar("") for _ in range(cnt)] for _ in us]
        for a in assign:
            m.AddExactlyOne(a)
        for c in range(cnt):
            ivs = [iv(u, assign[i][c]) for i, u in enumerate(us)]
            m.AddCumulative(ivs, [1] * len(us), room)
            for i in range(len(us)):
                for h in range(i):
                    if us[i][3] != us[h][3]:
                        m.AddNoOverlap([ivs[i], ivs[h]])
    m.Minimize(sum(c * v for c, v in obj))
    if hint and pr.get("forced", 0) == 0:
        m.AddHint(L, pr["late"])
        for d, p in zip(J, pr["placed"]):
            if d["j"].get("pinned") is not None:
                continue
            if isinstance(p, dict):
                v = list(p.values())[0]
                m.AddHint(d["s"], v)
                if d["on"] is not None:
                    m.AddHint(d["on"], "at" in p)
            elif d["on"] is not None:
                m.AddHint(d["on"], False)
    s = cp_model.CpSolver()
    s.parameters.max_time_in_seconds = limit
    s.parameters.num_workers = workers
    st = s.Solve(m)
    name = s.StatusName(st)
    if st in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        return name, s.ObjectiveValue() / SC, s.BestObjectiveBound() / SC, s.Value(L), [s.Value(d["s"]) for d in J]
    return name, None, s.BestObjectiveBound() / SC, None, None


KEPT = ("jobs", "kinds", "bookings", "shut", "nights", "now", "clock", "late_price")


def main(arguments):
    keep = arguments[arguments.index("--keep") + 1] if "--keep" in arguments else None
    files = [name for name in arguments if name.endswith(".json") and name != keep]
    seconds = next((float(word) for word in arguments if word.replace(".", "").isdigit()), 10.0)
    for name in files:
        with open(name) as file:
            problem = json.load(file)["problem"]
        status, cost, bound, late, _ = solve(problem, seconds)
        print(
            f"{name}: {len(problem['jobs'])} jobs, found {problem['cost']:.1f} ({problem['late']} min late); exact {status} {cost} (at least {bound:.1f}, {late} min late)"
        )
        if keep and cost is not None:
            line = {
                "name": name,
                "best": round(cost, 4),
                "proven": status == "OPTIMAL",
                "problem": {key: problem[key] for key in KEPT},
            }
            with open(keep, "a") as file:
                file.write(json.dumps(line, separators=(",", ":")) + "\n")


if __name__ == "__main__":
    main(sys.argv[1:])
