package kalodyne.core.runsheet;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** How far a sheet is done: what is now, what waits, and what must be looked at again because something under it was undone. */
public final class SheetProgress {
    /** What a whole is when one of its parts is so, the first that is met. */
    private static final List<State> OF_A_WHOLE =
            List.of(State.NOW, State.AGAIN, State.LATER, State.DONE, State.SKIPPED);

    private final RunSheet sheet;
    private final Map<String, State> states = new LinkedHashMap<>();
    private final Map<String, List<Order>> binding = new HashMap<>();

    private SheetProgress(RunSheet sheet) {
        this.sheet = sheet;
    }

    /** Of a step. */
    public enum State {
        DONE,
        SKIPPED,
        /** It was done, but something that it rests on is not, or not any more. */
        AGAIN,
        /** It is the one to do. */
        NOW,
        LATER
    }

    /** How far it is done; nothing is where no session has begun. */
    public static SheetProgress of(RunSheet sheet, Optional<Session> session) {
        SheetProgress progress = new SheetProgress(sheet);
        Map<String, Tick> ticks = session.map(Session::ticks).orElse(List.of()).stream()
                .filter(Tick::isOver)
                .collect(Collectors.toMap(Tick::step, tick -> tick, (one, other) -> other));
        for (Order order : sheet.orders()) {
            if (order.isBinding()) {
                progress.binding
                        .computeIfAbsent(order.after(), id -> new java.util.ArrayList<>())
                        .add(order);
            }
        }
        for (Step step : sheet.steps()) {
            Tick tick = ticks.get(step.id());
            boolean rests = progress.restsOnOpen(step.id());
            State state = tick == null
                    ? State.LATER
                    : tick.outcome() == Tick.Outcome.SKIPPED ? State.SKIPPED : rests ? State.AGAIN : State.DONE;
            progress.states.put(step.id(), state);
        }
        sheet.steps().stream()
                .map(Step::id)
                .filter(id -> progress.isToDo(id))
                .findFirst()
                .ifPresent(id -> progress.states.put(id, State.NOW));
        return progress;
    }

    /** The steps are in order: those that it rests on were looked at before. */
    private boolean restsOnOpen(String step) {
        return binding.getOrDefault(step, List.of()).stream().anyMatch(order -> isToDo(order.before()));
    }

    private boolean isToDo(String step) {
        State state = states.get(step);
        return state == State.LATER || state == State.AGAIN;
    }

    public State of(Step step) {
        return states.getOrDefault(step.id(), State.LATER);
    }

    /** Of a task: done when all of its parts are. */
    public State of(Task task) {
        Set<State> parts = task.parts().stream().map(this::of).collect(Collectors.toSet());
        return OF_A_WHOLE.stream().filter(parts::contains).findFirst().orElse(State.DONE);
    }

    /** The one to do; empty where all is done. */
    public Optional<Step> now() {
        return sheet.steps().stream().filter(step -> of(step) == State.NOW).findFirst();
    }

    /** How many tasks are over. */
    public int done() {
        return (int) sheet.tasks().stream()
                .map(this::of)
                .filter(state -> state == State.DONE || state == State.SKIPPED)
                .count();
    }

    /** What must be done before a step and is not: the reasons, the strongest first. */
    public List<Order> inTheWay(Step step) {
        return binding.getOrDefault(step.id(), List.of()).stream()
                .filter(order -> {
                    State state = states.get(order.before());
                    return state == State.LATER || state == State.AGAIN || state == State.NOW;
                })
                .sorted(Order.STRONGEST_FIRST)
                .toList();
    }

    /** What was done and rests on a step, in the order of the sheet: it is to be looked at again if that is undone. */
    public List<Step> restingOn(Step step) {
        Set<String> found = new HashSet<>();
        Deque<String> open = new ArrayDeque<>(List.of(step.id()));
        while (!open.isEmpty()) {
            String at = open.poll();
            sheet.orders().stream()
                    .filter(order -> order.isBinding() && order.before().equals(at))
                    .map(Order::after)
                    .filter(found::add)
                    .forEach(open::add);
        }
        return sheet.steps().stream()
                .filter(each -> found.contains(each.id()) && of(each) == State.DONE)
                .toList();
    }
}
