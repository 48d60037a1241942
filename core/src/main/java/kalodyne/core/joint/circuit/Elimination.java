package kalodyne.core.joint.circuit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The factors of a sparse complex matrix, as a list of what has to be done to its entries. The list is made once, for one
 * order of the pivots, and then done for every frequency: circuits have few entries, always in the same places.
 *
 * <p>The order is chosen after Markowitz: among the pivots that are large enough, the one that brings the least new entries.
 */
final class Elimination {
    /** A pivot has at least this share of the largest entry in its column. */
    private static final double LARGE_ENOUGH = 0.05;

    /** What is left of an entry after cancelling is nothing, if it is smaller than this share of what its row began with. */
    private static final double NOTHING = 1e-13;

    private final int size;

    /** In the order of elimination: where the pivot stands, its row and its column. */
    private final int[] pivotSlots;

    private final int[] pivotRows;
    private final int[] pivotColumns;

    /** Triples, per pivot: target −= factor · entry. Those of one pivot begin at its number in the list beside. */
    private final int[] updates;

    private final int[] updatesFrom;

    /** Pairs, per pivot: the slot of a factor below it, and the row that it belongs to. */
    private final int[] factors;

    private final int[] factorsFrom;

    /** Pairs, per pivot: the slot of an entry beside it, and its column. */
    private final int[] beside;

    private final int[] besideFrom;
    private final int slots;

    private Elimination(Planning planning) {
        this.size = planning.size;
        this.pivotSlots = planning.pivotSlots;
        this.pivotRows = planning.pivotRows;
        this.pivotColumns = planning.pivotColumns;
        this.updates = flat(planning.updates);
        this.updatesFrom = starts(planning.updates);
        this.factors = flat(planning.factors);
        this.factorsFrom = starts(planning.factors);
        this.beside = flat(planning.beside);
        this.besideFrom = starts(planning.beside);
        this.slots = planning.slots;
    }

    private static int[] flat(List<List<Integer>> lists) {
        return lists.stream().flatMap(List::stream).mapToInt(Integer::intValue).toArray();
    }

    private static int[] starts(List<List<Integer>> lists) {
        int[] starts = new int[lists.size() + 1];
        for (int i = 0; i < lists.size(); i++) {
            starts[i + 1] = starts[i] + lists.get(i).size();
        }
        return starts;
    }

    /** How many entries there are, those that elimination brings included. */
    int slots() {
        return slots;
    }

    /** A matrix cannot be factored: this of its columns is nothing but a sum of others. */
    static final class Singular extends Exception {
        private static final long serialVersionUID = 1L;
        private final int column;

        Singular(int column) {
            super(null, null, false, false);
            this.column = column;
        }

        int column() {
            return column;
        }
    }

    /**
     * Makes the list for a matrix with these entries.
     *
     * @param rows of the entries
     * @param columns of the entries, each place once
     */
    static Elimination of(int size, int[] rows, int[] columns, double[] re, double[] im) throws Singular {
        Planning planning = new Planning(size, rows, columns, re, im);
        planning.run();
        return new Elimination(planning);
    }

    /** Numbers with two parts, for several frequencies side by side. */
    static final class Pairs {
        private final double[] re;
        private final double[] im;

        Pairs(int width) {
            re = new double[width];
            im = new double[width];
        }

        double[] re() {
            return re;
        }

        double[] im() {
            return im;
        }

        static Pairs[] rows(int count, int width) {
            Pairs[] rows = new Pairs[count];
            Arrays.setAll(rows, row -> new Pairs(width));
            return rows;
        }
    }

    /**
     * Solves for one right side at several frequencies at once: what is done to one entry is done to a whole row of numbers,
     * which processors do several at a time.
     *
     * @param entries with room for those to come; spoilt
     * @param side the right side; spoilt
     * @param solution filled in
     * @return false where a pivot became too small at one of them: then another order is needed
     */
    boolean solve(Pairs[] entries, Pairs[] side, Pairs[] solution) {
        int width = side[0].re().length;
        Pairs[] inverse = Pairs.rows(size, width);
        for (int k = 0; k < size; k++) {
            if (!invert(entries[pivotSlots[k]], inverse[k])) {
                return false;
            }
            for (int i = factorsFrom[k]; i < factorsFrom[k + 1]; i += 2) {
                Pairs factor = entries[factors[i]];
                multiply(factor, inverse[k]);
                subtract(side[factors[i + 1]], factor, side[pivotRows[k]]);
            }
            for (int i = updatesFrom[k]; i < updatesFrom[k + 1]; i += 3) {
                subtract(entries[updates[i]], entries[updates[i + 1]], entries[updates[i + 2]]);
            }
        }
        for (int k = size - 1; k >= 0; k--) {
            Pairs sum = side[pivotRows[k]];
            for (int i = besideFrom[k]; i < besideFrom[k + 1]; i += 2) {
                subtract(sum, entries[beside[i]], solution[beside[i + 1]]);
            }
            multiply(sum, inverse[k]);
            Pairs found = solution[pivotColumns[k]];
            System.arraycopy(sum.re(), 0, found.re(), 0, width);
            System.arraycopy(sum.im(), 0, found.im(), 0, width);
        }
        return true;
    }

    private static boolean invert(Pairs pivot, Pairs inverse) {
        double[] re = pivot.re();
        double[] im = pivot.im();
        for (int f = 0; f < re.length; f++) {
            double square = re[f] * re[f] + im[f] * im[f];
            if (!(square > 0) || Double.isInfinite(square)) {
                return false;
            }
            inverse.re()[f] = re[f] / square;
            inverse.im()[f] = -im[f] / square;
        }
        return true;
    }

    private static void multiply(Pairs target, Pairs by) {
        double[] re = target.re();
        double[] im = target.im();
        double[] byRe = by.re();
        double[] byIm = by.im();
        for (int f = 0; f < re.length; f++) {
            double a = re[f];
            double b = im[f];
            re[f] = a * byRe[f] - b * byIm[f];
            im[f] = a * byIm[f] + b * byRe[f];
        }
    }

    private static void subtract(Pairs target, Pairs factor, Pairs entry) {
        double[] re = target.re();
        double[] im = target.im();
        double[] factorRe = factor.re();
        double[] factorIm = factor.im();
        double[] entryRe = entry.re();
        double[] entryIm = entry.im();
        for (int f = 0; f < re.length; f++) {
            re[f] -= factorRe[f] * entryRe[f] - factorIm[f] * entryIm[f];
            im[f] -= factorRe[f] * entryIm[f] + factorIm[f] * entryRe[f];
        }
    }

    /** Eliminates once, with numbers, to find the order and what it brings. */
    private static final class Planning {
        private final int size;
        private final int[][] slotAt;
        private int[] rowOf;
        private int[] columnOf;
        private double[] re;
        private double[] im;
        private final double[] begun;

        /** The slots of what is not eliminated yet. */
        private int[] open;

        private int listed;
        private final int[] inRow;
        private final int[] inColumn;
        private final double[] largest;
        private final boolean[] rowDone;
        private final boolean[] columnDone;
        private int slots;
        private final int[] pivotSlots;
        private final int[] pivotRows;
        private final int[] pivotColumns;
        private final List<List<Integer>> updates = new ArrayList<>();
        private final List<List<Integer>> factors = new ArrayList<>();
        private final List<List<Integer>> beside = new ArrayList<>();

        Planning(int size, int[] rows, int[] columns, double[] re, double[] im) {
            this.size = size;
            this.re = Arrays.copyOf(re, Math.max(16, 2 * re.length));
            this.im = Arrays.copyOf(im, Math.max(16, 2 * re.length));
            this.rowOf = Arrays.copyOf(rows, this.re.length);
            this.columnOf = Arrays.copyOf(columns, this.re.length);
            this.slots = rows.length;
            slotAt = new int[size][size];
            for (int[] row : slotAt) {
                Arrays.fill(row, -1);
            }
            open = new int[this.re.length];
            inRow = new int[size];
            inColumn = new int[size];
            largest = new double[size];
            begun = new double[size];
            for (int i = 0; i < rows.length; i++) {
                slotAt[rows[i]][columns[i]] = i;
                open[listed++] = i;
                begun[rows[i]] = Math.max(begun[rows[i]], magnitude(i));
            }
            rowDone = new boolean[size];
            columnDone = new boolean[size];
            pivotSlots = new int[size];
            pivotRows = new int[size];
            pivotColumns = new int[size];
        }

        /** Its size but for a factor of √2, which the choice of pivots does not need. */
        private double magnitude(int slot) {
            return Math.abs(re[slot]) + Math.abs(im[slot]);
        }

        void run() throws Singular {
            for (int k = 0; k < size; k++) {
                choose(k);
                eliminate(k);
            }
        }

        private boolean isSomething(int slot) {
            return magnitude(slot) > NOTHING * begun[rowOf[slot]];
        }

        private void choose(int k) throws Singular {
            count();
            for (int column = 0; column < size; column++) {
                if (!columnDone[column] && largest[column] == 0) {
                    throw new Singular(column);
                }
            }
            long best = Long.MAX_VALUE;
            for (int i = 0; i < listed; i++) {
                int slot = open[i];
                if (isSomething(slot) && magnitude(slot) >= LARGE_ENOUGH * largest[columnOf[slot]]) {
                    long cost = (long) (inRow[rowOf[slot]] - 1) * (inColumn[columnOf[slot]] - 1);
                    boolean isBetter = cost < best || (cost == best && magnitude(slot) > magnitude(pivotSlots[k]));
                    if (isBetter) {
                        best = cost;
                        pivotSlots[k] = slot;
                        pivotRows[k] = rowOf[slot];
                        pivotColumns[k] = columnOf[slot];
                    }
                }
            }
        }

        /** How full rows and columns are that are not eliminated yet, and how large what stands there. */
        private void count() {
            Arrays.fill(inRow, 0);
            Arrays.fill(inColumn, 0);
            Arrays.fill(largest, 0);
            int openSlots = 0;
            for (int i = 0; i < listed; i++) {
                int slot = open[i];
                int row = rowOf[slot];
                int column = columnOf[slot];
                if (!rowDone[row] && !columnDone[column]) {
                    open[openSlots++] = slot;
                    inRow[row]++;
                    inColumn[column]++;
                    if (isSomething(slot)) {
                        largest[column] = Math.max(largest[column], magnitude(slot));
                    }
                }
            }
            listed = openSlots;
        }

        private void eliminate(int k) {
            int pivotRow = pivotRows[k];
            int pivotColumn = pivotColumns[k];
            rowDone[pivotRow] = true;
            columnDone[pivotColumn] = true;
            List<Integer> below = new ArrayList<>();
            List<Integer> right = new ArrayList<>();
            List<Integer> done = new ArrayList<>();
            for (int column = 0; column < size; column++) {
                if (!columnDone[column] && slotAt[pivotRow][column] >= 0) {
                    right.addAll(List.of(slotAt[pivotRow][column], column));
                }
            }
            for (int row = 0; row < size; row++) {
                int factor = slotAt[row][pivotColumn];
                if (!rowDone[row] && factor >= 0) {
                    below.addAll(List.of(factor, row));
                    divide(factor, pivotSlots[k]);
                    for (int i = 0; i < right.size(); i += 2) {
                        int target = slot(row, right.get(i + 1));
                        done.addAll(List.of(target, factor, right.get(i)));
                        subtract(target, factor, right.get(i));
                    }
                }
            }
            factors.add(below);
            beside.add(right);
            updates.add(done);
        }

        private int slot(int row, int column) {
            if (slotAt[row][column] < 0) {
                if (slots == re.length) {
                    re = Arrays.copyOf(re, 2 * slots);
                    im = Arrays.copyOf(im, 2 * slots);
                    rowOf = Arrays.copyOf(rowOf, 2 * slots);
                    columnOf = Arrays.copyOf(columnOf, 2 * slots);
                    open = Arrays.copyOf(open, 2 * slots);
                }
                rowOf[slots] = row;
                columnOf[slots] = column;
                open[listed++] = slots;
                slotAt[row][column] = slots++;
            }
            return slotAt[row][column];
        }

        private void divide(int slot, int by) {
            double square = re[by] * re[by] + im[by] * im[by];
            double a = re[slot];
            double b = im[slot];
            re[slot] = (a * re[by] + b * im[by]) / square;
            im[slot] = (b * re[by] - a * im[by]) / square;
        }

        private void subtract(int target, int factor, int entry) {
            re[target] -= re[factor] * re[entry] - im[factor] * im[entry];
            im[target] -= re[factor] * im[entry] + im[factor] * re[entry];
        }
    }
}
