package kalodyne.core.circuit;

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

    /**
     * Solves for one right side.
     *
     * @param re real parts of the entries, with room for those to come; spoilt
     * @param sideRe the right side; spoilt
     * @param xRe filled with the solution
     * @return false where a pivot became too small: then another order is needed
     */
    boolean solve(double[] re, double[] im, double[] sideRe, double[] sideIm, double[] xRe, double[] xIm) {
        double[] inverseRe = new double[size];
        double[] inverseIm = new double[size];
        for (int k = 0; k < size; k++) {
            int pivot = pivotSlots[k];
            double square = re[pivot] * re[pivot] + im[pivot] * im[pivot];
            if (!(square > 0) || Double.isInfinite(square)) {
                return false;
            }
            inverseRe[k] = re[pivot] / square;
            inverseIm[k] = -im[pivot] / square;
            for (int i = factorsFrom[k]; i < factorsFrom[k + 1]; i += 2) {
                int slot = factors[i];
                double a = re[slot];
                double b = im[slot];
                re[slot] = a * inverseRe[k] - b * inverseIm[k];
                im[slot] = a * inverseIm[k] + b * inverseRe[k];
                if (Math.abs(re[slot]) + Math.abs(im[slot]) > 1 / NOTHING) {
                    return false;
                }
                int row = factors[i + 1];
                int from = pivotRows[k];
                sideRe[row] -= re[slot] * sideRe[from] - im[slot] * sideIm[from];
                sideIm[row] -= re[slot] * sideIm[from] + im[slot] * sideRe[from];
            }
            for (int i = updatesFrom[k]; i < updatesFrom[k + 1]; i += 3) {
                int target = updates[i];
                int factor = updates[i + 1];
                int entry = updates[i + 2];
                re[target] -= re[factor] * re[entry] - im[factor] * im[entry];
                im[target] -= re[factor] * im[entry] + im[factor] * re[entry];
            }
        }
        for (int k = size - 1; k >= 0; k--) {
            double a = sideRe[pivotRows[k]];
            double b = sideIm[pivotRows[k]];
            for (int i = besideFrom[k]; i < besideFrom[k + 1]; i += 2) {
                int slot = beside[i];
                int column = beside[i + 1];
                a -= re[slot] * xRe[column] - im[slot] * xIm[column];
                b -= re[slot] * xIm[column] + im[slot] * xRe[column];
            }
            xRe[pivotColumns[k]] = a * inverseRe[k] - b * inverseIm[k];
            xIm[pivotColumns[k]] = a * inverseIm[k] + b * inverseRe[k];
        }
        return true;
    }

    /** Eliminates once, with numbers, to find the order and what it brings. */
    private static final class Planning {
        private final int size;
        private final int[][] slotAt;
        private double[] re;
        private double[] im;
        private final double[] begun;
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
            this.slots = rows.length;
            slotAt = new int[size][size];
            for (int[] row : slotAt) {
                Arrays.fill(row, -1);
            }
            begun = new double[size];
            for (int i = 0; i < rows.length; i++) {
                slotAt[rows[i]][columns[i]] = i;
                begun[rows[i]] = Math.max(begun[rows[i]], magnitude(i));
            }
            rowDone = new boolean[size];
            columnDone = new boolean[size];
            pivotSlots = new int[size];
            pivotRows = new int[size];
            pivotColumns = new int[size];
        }

        private double magnitude(int slot) {
            return Math.hypot(re[slot], im[slot]);
        }

        void run() throws Singular {
            for (int k = 0; k < size; k++) {
                choose(k);
                eliminate(k);
            }
        }

        private boolean isThere(int row, int column) {
            int slot = slotAt[row][column];
            return slot >= 0 && magnitude(slot) > NOTHING * begun[row];
        }

        private void choose(int k) throws Singular {
            long best = Long.MAX_VALUE;
            double bestSize = 0;
            int[] inRow = new int[size];
            for (int row = 0; row < size; row++) {
                for (int column = 0; column < size; column++) {
                    inRow[row] += !columnDone[column] && slotAt[row][column] >= 0 ? 1 : 0;
                }
            }
            for (int column = 0; column < size; column++) {
                if (columnDone[column]) {
                    continue;
                }
                double largest = 0;
                int inColumn = 0;
                for (int row = 0; row < size; row++) {
                    if (!rowDone[row] && slotAt[row][column] >= 0) {
                        inColumn++;
                        largest = isThere(row, column) ? Math.max(largest, magnitude(slotAt[row][column])) : largest;
                    }
                }
                if (largest == 0) {
                    throw new Singular(column);
                }
                for (int row = 0; row < size; row++) {
                    if (!rowDone[row] && isThere(row, column)) {
                        double magnitude = magnitude(slotAt[row][column]);
                        long cost = (long) (inRow[row] - 1) * (inColumn - 1);
                        boolean isBetter = cost < best || (cost == best && magnitude > bestSize);
                        if (magnitude >= LARGE_ENOUGH * largest && isBetter) {
                            best = cost;
                            bestSize = magnitude;
                            pivotSlots[k] = slotAt[row][column];
                            pivotRows[k] = row;
                            pivotColumns[k] = column;
                        }
                    }
                }
            }
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
                }
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
