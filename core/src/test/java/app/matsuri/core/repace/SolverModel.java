package app.matsuri.core.repace;

import app.matsuri.core.plan.Weights;
import app.matsuri.core.plan.Weights.Cost;
import app.matsuri.core.repace.Stretch.Asked;
import app.matsuri.core.repace.Stretch.Slot;
import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.List;
import java.util.OptionalLong;

/**
 * The cost model of re-pacing as constraints for OR-Tools CP-SAT (reference library): cursors, gaps and lengths, and costs read
 * from tables by element constraints. Nothing here is shared with {@link Optimum} but the stretch itself.
 */
public final class SolverModel {

    static {
        Loader.loadNativeLibraries();
    }

    private final Stretch stretch;
    private final Weights weights;
    private final int n;
    private final CpModel model = new CpModel();
    private final LinearExprBuilder cost = LinearExpr.newBuilder();
    private final long[] breaks;

    private SolverModel(Stretch stretch) {
        this.stretch = stretch;
        weights = stretch.weights();
        n = stretch.slots().size();
        breaks = stretch.slots().stream().mapToLong(Slot::breaksBefore).toArray();
    }

    /** The least cost. */
    public static long least(Stretch stretch) {
        return new SolverModel(stretch)
                .solve(Long.MAX_VALUE, Double.POSITIVE_INFINITY)
                .orElseThrow();
    }

    /**
     * The least cost, looked for among pacings that cost no more than so much: with the cost of one that is known, the solver
     * only has to prove that there is none cheaper.
     *
     * @param effort at most so much, in the solver's own units, which do not hang on the machine
     * @return empty when that was not enough
     */
    public static OptionalLong least(Stretch stretch, long most, double effort) {
        return new SolverModel(stretch).solve(most, effort);
    }

    private OptionalLong solve(long most, double effort) {
        IntVar cursor = model.newConstant(-1);
        BoolVar shared = model.newBoolVar("shared");
        model.addEquality(shared, 0);
        BoolVar begun = model.newBoolVar("begun");
        boolean underWay = stretch.begun() != null
                && stretch.begun().unit() == stretch.lessons().get(0).unit();
        model.addEquality(begun, underWay ? 1 : 0);
        IntVar before = model.newConstant(underWay ? stretch.begun().breaksBefore() : 0);
        for (int i = 0; i < stretch.lessons().size(); i++) {
            Asked asked = stretch.lessons().get(i);
            if (i > 0 && stretch.lessons().get(i - 1).unit() != asked.unit()) {
                begun = model.newBoolVar("new unit " + i);
                model.addEquality(begun, 0);
            }
            BoolVar own = model.newBoolVar("own " + i);
            BoolVar join = model.newBoolVar("join " + i);
            BoolVar out = model.newBoolVar("out " + i);
            BoolVar lost = model.newBoolVar("lost " + i);
            model.addExactlyOne(new Literal[] {own, join, out, lost});
            if (!(asked.reserve() || asked.leavable()) || asked.pin() != -1) {
                model.addEquality(out, 0);
            }
            if (!asked.joinable() || asked.least() > 1) {
                model.addEquality(join, 0);
            }
            if (asked.pin() == -2) {
                model.addEquality(own, 0);
                model.addEquality(join, 0);
            }
            IntVar first = model.newIntVar(0, n - 1, "first " + i);
            IntVar length = model.newIntVar(asked.least(), asked.length(), "length " + i);
            IntVar gap = model.newIntVar(0, n, "gap " + i);
            IntVar next = model.newIntVar(-1, n - 1, "cursor " + i);
            LinearExpr end =
                    LinearExpr.newBuilder().add(first).add(length).add(-1).build();
            model.addEquality(next, end).onlyEnforceIf(own);
            model.addEquality(next, cursor).onlyEnforceIf(own.not());
            model.addEquality(
                            gap,
                            LinearExpr.newBuilder()
                                    .add(first)
                                    .addTerm(cursor, -1)
                                    .add(-1)
                                    .build())
                    .onlyEnforceIf(own);
            model.addEquality(gap, 0).onlyEnforceIf(own.not());
            model.addEquality(first, cursor).onlyEnforceIf(join);
            model.addImplication(join, shared.not());
            if (asked.pin() >= 0) {
                model.addEquality(first, asked.pin()).onlyEnforceIf(own);
                model.addEquality(first, asked.pin()).onlyEnforceIf(join);
            }
            BoolVar sharedNow = model.newBoolVar("shared " + i);
            model.addEquality(sharedNow, 0).onlyEnforceIf(own);
            model.addEquality(sharedNow, 1).onlyEnforceIf(join);
            model.addEquality(sharedNow, shared).onlyEnforceIf(new Literal[] {own.not(), join.not()});
            BoolVar placed = model.newBoolVar("placed " + i);
            model.addEquality(placed, LinearExpr.newBuilder().add(own).add(join).build());
            costs(asked, i, own, join, out, lost, placed, first, length, gap, begun, before);
            IntVar breaksThen = model.newIntVar(0, 1000, "breaks then " + i);
            IntVar lastSlot = model.newIntVar(0, n - 1, "last " + i);
            model.addEquality(lastSlot, next).onlyEnforceIf(placed);
            IntVar breaksLast = element(lastSlot, breaks, "breaks last " + i);
            model.addEquality(breaksThen, breaksLast).onlyEnforceIf(placed);
            model.addEquality(breaksThen, before).onlyEnforceIf(placed.not());
            BoolVar begunNow = model.newBoolVar("begun " + i);
            model.addMaxEquality(begunNow, new BoolVar[] {begun, placed});
            across(asked, i, placed, first, breaksLast);
            cursor = next;
            shared = sharedNow;
            begun = begunNow;
            before = breaksThen;
        }
        model.minimize(cost);
        if (most < Long.MAX_VALUE) {
            model.addLessOrEqual(cost, most);
        }
        CpSolver solver = new CpSolver();
        solver.getParameters().setNumWorkers(1);
        solver.getParameters().setMaxDeterministicTime(effort);
        CpSolverStatus status = solver.solve(model);
        if (status == CpSolverStatus.UNKNOWN || status == CpSolverStatus.FEASIBLE) {
            return OptionalLong.empty();
        }
        if (status != CpSolverStatus.OPTIMAL) {
            throw new IllegalStateException("the solver found no proof: " + status);
        }
        return OptionalLong.of(Math.round(solver.objectiveValue()));
    }

    private IntVar element(IntVar index, long[] table, String name) {
        IntVar value = model.newIntVar(0, 1000, name);
        model.addElement(index, table, value);
        return value;
    }

    private void across(Asked asked, int i, BoolVar placed, IntVar first, IntVar breaksLast) {
        BoolVar across = model.newBoolVar("across " + i);
        LinearExpr from = asked.had() >= 0
                ? LinearExpr.constant(asked.had())
                : LinearExpr.term(element(first, breaks, "breaks first " + i), 1);
        model.addLessOrEqual(breaksLast, from).onlyEnforceIf(new Literal[] {placed, across.not()});
        cost.addTerm(across, weights.of(Cost.ACROSS));
    }

    private void costs(
            Asked asked,
            int i,
            BoolVar own,
            BoolVar join,
            BoolVar out,
            BoolVar lost,
            BoolVar placed,
            IntVar first,
            IntVar length,
            IntVar gap,
            BoolVar begun,
            IntVar before) {
        cost.addTerm(out, weights.of(asked.reserve() ? Cost.RESERVE : Cost.LEAVE_OUT));
        cost.addTerm(lost, (long) weights.of(Cost.NO_ROOM) * asked.length());
        cost.addTerm(join, weights.of(Cost.JOIN) + (asked.length() - 1L) * weights.of(Cost.SHORTEN));
        cost.addTerm(gap, weights.of(Cost.EMPTY));
        IntVar shorter = model.newIntVar(0, asked.length(), "shorter " + i);
        model.addEquality(
                        shorter,
                        LinearExpr.newBuilder()
                                .add(asked.length())
                                .addTerm(length, -1)
                                .build())
                .onlyEnforceIf(own);
        cost.addTerm(shorter, weights.of(Cost.SHORTEN));
        List<Slot> slots = stretch.slots();
        if (asked.opensWeek()) {
            charge(
                    i,
                    "mid week",
                    placed,
                    first,
                    slots.stream().mapToLong(s -> s.weekStart() ? 0 : 1).toArray(),
                    Cost.MID_WEEK);
        }
        if (asked.test() && asked.had() < 0) {
            long[] after = new long[n];
            for (int k = 1; k < n; k++) {
                after[k] = breaks[k] > breaks[k - 1] ? 1 : 0;
            }
            charge(i, "after break", placed, first, after, Cost.TEST_AFTER_BREAK);
        }
        if (asked.told() != null) {
            Cost kind = asked.test() ? Cost.TOLD_TEST : Cost.TOLD;
            charge(
                    i,
                    "told",
                    placed,
                    first,
                    slots.stream()
                            .mapToLong(s -> s.date().equals(asked.told()) ? 0 : 1)
                            .toArray(),
                    kind);
            cost.addTerm(out, weights.of(kind)).addTerm(lost, weights.of(kind));
        }
        if (asked.keepsWeeks() && asked.had() < 0) {
            IntVar split = model.newIntVar(0, 1000, "split " + i);
            LinearExpr far = LinearExpr.newBuilder()
                    .add(element(first, breaks, "split from " + i))
                    .addTerm(before, -1)
                    .build();
            model.addGreaterOrEqual(split, far).onlyEnforceIf(new Literal[] {placed, begun});
            cost.addTerm(split, weights.of(Cost.SPLIT));
        }
    }

    /** Charges the cost where the lesson is placed and the table says 1 of its first slot. */
    private void charge(int i, String name, BoolVar placed, IntVar first, long[] table, Cost kind) {
        IntVar says = element(first, table, name + " says " + i);
        BoolVar charged = model.newBoolVar(name + " " + i);
        model.addGreaterOrEqual(charged, says).onlyEnforceIf(placed);
        cost.addTerm(charged, weights.of(kind));
    }
}
