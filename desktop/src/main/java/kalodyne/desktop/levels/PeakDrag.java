package kalodyne.desktop.levels;

import java.util.OptionalInt;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import kalodyne.core.gear.Control;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.units.Gain;
import kalodyne.desktop.control.TurnDrag;

/**
 * Dragging the loudest peak behind a control up or down, which turns the control. Escape brings it back to where the drag
 * began.
 */
final class PeakDrag {
    private static final double REACH_EM = 1.4;

    /** Turns a control as a step of a gesture. */
    @FunctionalInterface
    interface Turn {
        void turn(Object gesture, Spot control, double position);
    }

    private final Corridor corridor;
    private Handle grabbed;
    private final TurnDrag hand;

    /** As they were at the start: whatever moves in the window meanwhile, the mouse keeps its hold. */
    private CorridorScale grabbedScale;

    private double grabbedSceneY;
    private double grabbedY;

    /**
     * What can be dragged.
     *
     * @param stage whose column it is in
     * @param id which control
     * @param control as it stood when it was grabbed
     */
    private record Handle(int stage, Spot id, Control control) {}

    private PeakDrag(Corridor corridor, Turn turn) {
        this.corridor = corridor;
        this.hand = new TurnDrag((gesture, position) -> turn.turn(gesture, grabbed.id(), position));
    }

    static void install(Corridor corridor, Turn turn) {
        PeakDrag drag = new PeakDrag(corridor, turn);
        corridor.setOnMouseMoved(drag::hover);
        corridor.setOnMousePressed(drag::press);
        corridor.setOnMouseDragged(drag::drag);
        corridor.setOnMouseReleased(event -> drag.let());
        corridor.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE && drag.grabbed != null) {
                drag.takeBack();
                event.consume();
            }
        });
    }

    private void let() {
        hand.end();
        grabbed = null;
    }

    private void takeBack() {
        hand.back(grabbed.control().position());
        grabbed = null;
    }

    private void hover(MouseEvent event) {
        corridor.setCursor(handleAt(event) == null ? Cursor.DEFAULT : Cursor.V_RESIZE);
    }

    private void press(MouseEvent event) {
        grabbed = event.getButton() == MouseButton.PRIMARY ? handleAt(event) : null;
        if (grabbed != null) {
            hand.begin(grabbed.control().position());
            grabbedScale = corridor.scale();
            grabbedSceneY = event.getSceneY();
            grabbedY = corridor.heightInScale(event.getY());
            corridor.requestFocus();
            event.consume();
        }
    }

    private void drag(MouseEvent event) {
        if (grabbed == null) {
            return;
        }
        double y = grabbedY + event.getSceneY() - grabbedSceneY;
        double change = grabbedScale.dbu(y) - grabbedScale.dbu(grabbedY);
        Control control = grabbed.control();
        Gain wanted = audible(control).plus(new Gain(change));
        double exact = control.taper().positionFor(wanted);
        double position = event.isShiftDown() ? exact : control.dial().nearestQuarter(exact);
        hand.to(control.taper().rest(position));
        event.consume();
    }

    /** Its gain; of a control that is shut, the first that lets something through. */
    private static Gain audible(Control control) {
        return Double.isInfinite(control.gain().db())
                ? control.taper().at(control.dial().quarterHour())
                : control.gain();
    }

    /** The control whose peak is near the mouse. */
    private Handle handleAt(MouseEvent event) {
        if (corridor.plan() == null || corridor.scale() == null) {
            return null;
        }
        for (int stage = 0; stage < corridor.plan().stages().size(); stage++) {
            OptionalInt knob = corridor.plan().stages().get(stage).stage().knob();
            if (knob.isPresent() && isNear(event, stage)) {
                Knob here = corridor.plan().flow().knobs().get(knob.getAsInt());
                return new Handle(stage, here.id(), here.control());
            }
        }
        return null;
    }

    private boolean isNear(MouseEvent event, int stage) {
        double reach = REACH_EM * corridor.reachEm();
        double y = corridor.y(corridor.plan().stages().get(stage).peak().dbu());
        return Math.abs(event.getX() - corridor.centre(stage)) < reach && Math.abs(event.getY() - y) < reach;
    }
}
