package kalodyne.desktop;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.encoder.PatternLayoutEncoder;
import ch.qos.logback.classic.spi.Configurator;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.ConsoleAppender;
import ch.qos.logback.core.spi.ContextAwareBase;

/**
 * The terminal is for the commands' results: only trouble goes there. Set up here, since reading the same from a file takes a sixth
 * of a second of every start.
 */
public final class TerminalLog extends ContextAwareBase implements Configurator {
    @Override
    public ExecutionStatus configure(LoggerContext context) {
        PatternLayoutEncoder words = new PatternLayoutEncoder();
        words.setContext(context);
        words.setPattern("%-5level %logger{0}: %msg%n%ex{0}");
        words.start();
        ConsoleAppender<ILoggingEvent> terminal = new ConsoleAppender<>();
        terminal.setContext(context);
        terminal.setTarget("System.err");
        terminal.setEncoder(words);
        terminal.start();
        Logger root = context.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        root.setLevel(Level.WARN);
        root.addAppender(terminal);
        return ExecutionStatus.DO_NOT_INVOKE_NEXT_IF_ANY;
    }
}
