package tallledger.core.plate;

import java.util.Arrays;
import java.util.function.Consumer;

/**
 * Places the logarithms of a list of speeds on the combinations of levers of given sizes, depth first: the lowest speed is every
 * lever's lowest; the lowest not yet placed is some lever's next position; all it makes with what is there already must be among the
 * speeds, each once. Every such assignment that the bounds allow is handed on; the fit decides afterwards.
 *
 * <p>The bounds lose nothing that fits: where every cell fits within its tolerance, a sum of cells fits within the sum of theirs. So a
 * cell with two levers off their lowest lies within four tolerances of what its levers' own positions say, with three within six, with
 * four within eight; and the four cells of any rectangle agree within the sum of theirs.
 *
 * <p>Some cells may stay empty and as many speeds be left out. An empty cell is given the value that a rectangle with it says, and the
 * tolerances of that rectangle's other three.
 */
final class ArrangementSearch {

    /** A fit takes as long as so many placings. */
    private static final int STEPS_OF_A_FIT = 300;
    private static final int EMPTY = -1;
    private static final int OPEN = -2;

    private final double[] speeds;
    private final double[] tolerances;
    private final double coarsest;
    private final int[] sizes;
    private final int[] stride;
    private final int cells;
    private final int[][] digits;
    private final Consumer<int[]> found;

    private final int[] placed;
    private final int[] at;
    private final double[] value;
    private final double[] radius;
    private final double[] says;
    private final double[] within;
    private final boolean[] used;
    private final boolean fromTheTop;
    private int empties;
    /** How many of them may be anywhere; the others only where the search from below loses its way. */
    private int anywhere;
    private int leaves;
    private long steps;
    /**
     * Rectangle by which an empty lowest cell is reckoned: the lowest speed, which is a lever's own position, the lowest that is another
     * lever's, and the one both make; else −1.
     */
    private int first = -1;
    private int second = -1;
    private int both = -1;
    private int firstCell;
    private int secondCell;

    /**
     * @param speeds     ln of the distinct speeds, ascending
     * @param tolerances of each, in ln
     * @param sizes      positions by lever
     * @param empties    cells that stay without a speed
     * @param fromTheTop whether the speeds are turned round, their highest being the lowest here, after they were searched the other way:
     *                   then only what that misses is looked for
     * @param steps      placings tried at most
     * @param found      is given each assignment: by cell, the last lever running fastest, the index of its speed, or −1
     */
    ArrangementSearch(double[] speeds, double[] tolerances, int[] sizes, int empties, boolean fromTheTop, long steps,
            Consumer<int[]> found) {
        this.speeds = speeds;
        this.tolerances = tolerances;
        this.coarsest = Arrays.stream(tolerances).max().orElse(0);
        this.sizes = sizes;
        this.stride = new int[sizes.length];
        int product = 1;
        for (int l = sizes.length - 1; l >= 0; l--) {
            stride[l] = product;
            product *= sizes[l];
        }
        this.cells = product;
        this.digits = new int[cells][sizes.length];
        for (int cell = 0; cell < cells; cell++) {
            for (int l = 0; l < sizes.length; l++) {
                digits[cell][l] = cell / stride[l] % sizes[l];
            }
        }
        this.empties = empties;
        this.fromTheTop = fromTheTop;
        this.anywhere = fromTheTop ? empties - 1 : empties;
        this.leaves = speeds.length + empties - product;
        this.steps = steps;
        this.found = found;
        this.placed = new int[sizes.length];
        this.at = new int[cells];
        this.value = new double[cells];
        this.radius = new double[cells];
        this.says = new double[cells];
        this.within = new double[cells];
        this.used = new boolean[speeds.length];
        Arrays.fill(placed, 1);
        Arrays.fill(at, OPEN);
    }

    /** Placings left; below nought where the search was cut short. */
    long run() {
        if (leaves >= 0 && cells > 1) {
            lowest(0);
        }
        return steps;
    }

    /** The lowest speed, those below it being left out; or the lowest cell is one of the empty ones. */
    private void lowest(int from) {
        put(0, from);
        next();
        take(0, from);
        if (empties > 1 && !fromTheTop) {
            emptyLowest(from);
        }
        if (leaves > 0 && from + 1 < speeds.length) {
            leaves--;
            used[from] = true;
            lowest(from + 1);
            used[from] = false;
            leaves++;
        }
    }

    /**
     * Asked for only where the highest cell is the other empty one: else the lowest is a cell like others, seen from the highest. So no
     * other cell may be empty here.
     */
    private void emptyLowest(int from) {
        int most = empties;
        empties = 0;
        at[0] = EMPTY;
        first = from;
        firstCell = 0;
        secondCell = 0;
        for (second = from + 1; second < speeds.length; second++) {
            for (both = second + 1; both < speeds.length; both++) {
                value[0] = speeds[from] + speeds[second] - speeds[both];
                radius[0] = tolerances[from] + tolerances[second] + tolerances[both];
                next();
            }
        }
        first = -1;
        second = -1;
        both = -1;
        at[0] = OPEN;
        empties = most;
    }

    private void next() {
        if (--steps < 0) {
            return;
        }
        int lowest = 0;
        while (lowest < speeds.length && used[lowest]) {
            lowest++;
        }
        if (lowest == speeds.length) {
            if (leaves == 0 && Arrays.equals(placed, sizes)) {
                steps -= STEPS_OF_A_FIT;
                found.accept(at.clone());
            }
            return;
        }
        for (int l = 0; l < sizes.length; l++) {
            if (placed[l] < sizes[l] && !isSameAsAnEarlier(l)) {
                nextOf(l, lowest);
            }
        }
        if (leaves > 0 && !isOfTheRectangle(lowest)) {
            leaves--;
            used[lowest] = true;
            next();
            used[lowest] = false;
            leaves++;
        }
    }

    /** Untouched levers of one size are the same lever. */
    private boolean isSameAsAnEarlier(int lever) {
        for (int l = 0; l < lever && placed[lever] == 1; l++) {
            if (sizes[l] == sizes[lever] && placed[l] == 1) {
                return true;
            }
        }
        return false;
    }

    private boolean isOfTheRectangle(int speed) {
        return speed == first || speed == second || speed == both;
    }

    /**
     * A speed becomes the next position of a lever; or that cell is empty and the speed is what the position makes with another lever's.
     */
    private void nextOf(int lever, int speed) {
        int cell = placed[lever] * stride[lever];
        if (speed == first) {
            firstCell = cell;
        } else if (speed == second && digits[firstCell][lever] == 0) {
            secondCell = cell;
        } else if (isOfTheRectangle(speed) || first >= 0 && secondCell == 0 && digits[firstCell][lever] == 0) {
            return;
        }
        put(cell, speed);
        slab(lever);
        take(cell, speed);
        if (isOfTheRectangle(speed)) {
            firstCell = speed == first ? 0 : firstCell;
            secondCell = 0;
            return;
        }
        if (!mayBeEmpty(cell)) {
            return;
        }
        leaveEmpty(cell);
        for (int other = 0; other < sizes.length; other++) {
            for (int p = 1; other != lever && p < Math.min(placed[other], empties + 2); p++) {
                int beside = p * stride[other];
                value[cell] = speeds[speed] - value[beside] + value[0];
                radius[cell] = tolerances[speed] + radius[beside] + radius[0];
                put(cell + beside, speed);
                slab(lever);
                take(cell + beside, speed);
            }
        }
        takeEmpty(cell);
    }

    /**
     * Fills what the new position of a lever makes with the positions already there, the cells with the fewest speeds to choose from
     * first.
     */
    private void slab(int lever) {
        int[] open = new int[cells];
        int[] choices = new int[cells];
        int count = 0;
        int none = 0;
        placed[lever]++;
        for (int cell = 0; cell < cells; cell++) {
            if (at[cell] == OPEN && digits[cell][lever] == placed[lever] - 1 && isThere(cell)) {
                reckon(cell);
                int choice = 0;
                for (int s = from(says[cell] - within[cell]); s < speeds.length
                        && speeds[s] - tolerances[s] <= says[cell] + within[cell]; s++) {
                    choice += used[s] ? 0 : 1;
                }
                none += choice == 0 ? 1 : 0;
                int place = count++;
                for (; place > 0 && choices[place - 1] > choice; place--) {
                    open[place] = open[place - 1];
                    choices[place] = choices[place - 1];
                }
                open[place] = cell;
                choices[place] = choice;
            }
        }
        if (none <= Math.max(empties, 0) + (first >= 0 ? 1 : 0)) {
            fill(open, count, 0);
        }
        placed[lever]--;
    }

    /** What the levers' own positions say of a cell, and within what. */
    private void reckon(int cell) {
        says[cell] = value[0];
        within[cell] = -radius[0];
        for (int l = 0; l < sizes.length; l++) {
            int own = digits[cell][l] * stride[l];
            if (own > 0) {
                says[cell] += value[own] - value[0];
                within[cell] += radius[own] + radius[0];
            }
        }
    }

    private boolean isThere(int cell) {
        for (int l = 0; l < sizes.length; l++) {
            if (digits[cell][l] >= placed[l]) {
                return false;
            }
        }
        return true;
    }

    private void fill(int[] open, int count, int next) {
        if (--steps < 0) {
            return;
        }
        if (next == count) {
            next();
            return;
        }
        int cell = open[next];
        for (int s = from(says[cell] - within[cell]); s < speeds.length && speeds[s] - tolerances[s] <= says[cell] + within[cell]; s++) {
            if (!used[s] && keepsTheRectangle(cell, s) && Math.abs(speeds[s] - says[cell]) <= within[cell] + tolerances[s]
                    && agrees(cell, s)) {
                put(cell, s);
                fill(open, count, next + 1);
                take(cell, s);
            }
        }
        if (mayBeEmpty(cell) || first >= 0 && cell == cells - 1) {
            leaveEmpty(cell);
            value[cell] = says[cell];
            radius[cell] = within[cell];
            fill(open, count, next + 1);
            takeEmpty(cell);
        }
    }

    /** The rectangle's three speeds stand at its corners and nowhere else. */
    private boolean keepsTheRectangle(int cell, int speed) {
        boolean corner = secondCell > 0 && cell == firstCell + secondCell;
        return corner ? speed == both : !isOfTheRectangle(speed);
    }

    /** Whether a speed at a cell agrees with every rectangle whose other three corners are there. */
    private boolean agrees(int cell, int speed) {
        for (int a = 0; a < sizes.length; a++) {
            for (int b = a + 1; b < sizes.length; b++) {
                int pa = digits[cell][a];
                int pb = digits[cell][b];
                for (int qa = 0; qa < placed[a]; qa++) {
                    for (int qb = 0; qa != pa && qb < placed[b]; qb++) {
                        int one = cell + (qa - pa) * stride[a];
                        int two = cell + (qb - pb) * stride[b];
                        int across = one + (qb - pb) * stride[b];
                        if (qb != pb && at[one] != OPEN && at[two] != OPEN && at[across] != OPEN
                                && Math.abs(speeds[speed] - value[one] - value[two] + value[across]) > tolerances[speed] + radius[one]
                                        + radius[two] + radius[across]) {
                            return false;
                        }
                    }
                }
            }
        }
        return true;
    }

    /** First speed that may lie at or above a value: none further below it than the coarsest of them is wide. */
    private int from(double low) {
        int found = Arrays.binarySearch(speeds, low - coarsest);
        int s = found < 0 ? -found - 1 : found;
        while (s < speeds.length && speeds[s] + tolerances[s] < low) {
            s++;
        }
        return s;
    }

    private boolean mayBeEmpty(int cell) {
        return empties > 0 && (anywhere > 0 || isFar(cell));
    }

    /** From the highest: whether a cell is the lowest, or a lever's own position. */
    private boolean isFar(int cell) {
        int most = 0;
        for (int l = 0; l < sizes.length; l++) {
            most += digits[cell][l] == sizes[l] - 1 ? 1 : 0;
        }
        return fromTheTop && most >= sizes.length - 1;
    }

    private void leaveEmpty(int cell) {
        at[cell] = EMPTY;
        empties--;
        anywhere -= isFar(cell) ? 0 : 1;
    }

    private void takeEmpty(int cell) {
        at[cell] = OPEN;
        empties++;
        anywhere += isFar(cell) ? 0 : 1;
    }

    private void put(int cell, int speed) {
        at[cell] = speed;
        value[cell] = speeds[speed];
        radius[cell] = tolerances[speed];
        used[speed] = true;
    }

    private void take(int cell, int speed) {
        at[cell] = OPEN;
        used[speed] = false;
    }
}
