package app.matsuri.bench;

import app.matsuri.core.repace.Optimum;
import app.matsuri.core.repace.Scorer;
import app.matsuri.core.repace.SolverModel;
import app.matsuri.core.repace.Stretch;
import app.matsuri.exchange.repace.Instances;
import java.io.IOException;
import java.util.Arrays;
import java.util.concurrent.TimeUnit;

/** The best pacing of an instance beside OR-Tools CP-SAT on the same stretch, in one run: the same cost, and how long each takes. */
public final class SolverRace {

    private static final int WARM = 500;
    private static final int RUNS = 101;

    private SolverRace() {}

    /** Races on the named instances; each must come to the cost that was proved. */
    public static void main(String[] names) throws IOException {
        for (String name : names) {
            Stretch stretch = Instances.stretch(Instances.read(name));
            for (int i = 0; i < WARM; i++) {
                Optimum.of(stretch);
            }
            long[] took = new long[RUNS];
            long mine = 0;
            for (int i = 0; i < RUNS; i++) {
                long before = System.nanoTime();
                var best = Optimum.of(stretch);
                took[i] = System.nanoTime() - before;
                mine = Scorer.total(Scorer.costs(stretch, best));
            }
            Arrays.sort(took);
            double own = took[RUNS / 2] / (double) TimeUnit.MILLISECONDS.toNanos(1);
            long before = System.nanoTime();
            long proved = SolverModel.least(stretch);
            double solver = (System.nanoTime() - before) / (double) TimeUnit.MILLISECONDS.toNanos(1);
            System.out.printf(
                    "%s: %d here in %.3f ms (median of %d, warm); %d by the solver in %.0f ms; %.0f times as fast%n",
                    name, mine, own, RUNS, proved, solver, solver / own);
            if (mine != proved) {
                throw new IllegalStateException(name + ": " + mine + " here, " + proved + " by the solver");
            }
        }
    }
}
