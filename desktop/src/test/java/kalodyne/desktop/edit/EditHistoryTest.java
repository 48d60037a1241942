package kalodyne.desktop.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class EditHistoryTest {
    private final EditHistory<String> history = new EditHistory<>("a");

    @Test
    void undoes_and_redoes_in_order() {
        history.edit("b", "b");
        history.edit("c", "c");
        history.undo();
        assertThat(history.document()).isEqualTo("b");
        assertThat(history.undoable()).contains("b");
        assertThat(history.redoable()).contains("c");
        history.redo();
        assertThat(history.document()).isEqualTo("c");
        history.undo();
        history.edit("d", "d");
        assertThat(history.redoable()).isEmpty();
        history.undo();
        history.undo();
        history.undo();
        assertThat(history.document()).isEqualTo("a");
    }

    @Test
    void what_changes_nothing_is_no_edit() {
        history.edit("same", "a");
        assertThat(history.undoable()).isEmpty();
    }

    @Test
    void a_gesture_is_one_edit_and_none_if_it_comes_back() {
        Object drag = new Object();
        history.gesture(drag, "drag", "b");
        history.gesture(drag, "drag", "c");
        history.gesture(new Object(), "drag", "d");
        history.undo();
        assertThat(history.document()).isEqualTo("c");
        history.undo();
        assertThat(history.document()).isEqualTo("a");
        Object back = new Object();
        history.gesture(back, "drag", "x");
        history.gesture(back, "drag", "a");
        assertThat(history.undoable()).isEmpty();
    }

    @Test
    void keeps_the_last_five_hundred() {
        for (int i = 0; i < 600; i++) {
            history.edit("edit", "document " + i);
        }
        int undone = 0;
        while (history.undoable().isPresent()) {
            history.undo();
            undone++;
        }
        assertThat(undone).isEqualTo(500);
        assertThat(history.document()).isEqualTo("document 99");
    }

    @Test
    void refuses_edits_by_those_who_hear_of_one() {
        List<String> heard = new ArrayList<>();
        history.documentProperty().addListener((property, before, after) -> {
            heard.add(after);
            assertThatThrownBy(() -> history.edit("echo", after + "!")).isInstanceOf(IllegalStateException.class);
        });
        history.edit("b", "b");
        assertThat(heard).containsExactly("b");
        assertThat(history.document()).isEqualTo("b");
    }
}
