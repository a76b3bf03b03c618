package hamper.server.cli;

import java.util.List;
import java.util.Locale;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The program. */
@Command(
    name = "hamper",
    mixinStandardHelpOptions = true,
    version = "Hamper 0.1.0",
    description = "Plan, check and hand over holiday light displays.")
public final class Hamper {
  /** Exit code: the input cannot be used. */
  public static final int UNUSABLE = 2;

  /** In the order in which help lists them. */
  private static final List<Class<?>> COMMANDS =
      List.of(
          DemoCommand.class,
          ServeCommand.class,
          CheckCommand.class,
          DiffCommand.class,
          AddressesCommand.class,
          ConfigureCommand.class,
          ProveCommand.class,
          SendCommand.class,
          ListenCommand.class,
          PaperCommand.class,
          ArrangeCommand.class,
          StandinsCommand.class,
          YardCommand.class,
          ImportCommand.class,
          ExportCommand.class,
          RestoreCommand.class);

  private Hamper() {}

  public static void main(String[] args) {
    int code = run(args);
    // a server goes on in its own threads
    if (code != ServeCommand.RUNNING) {
      System.exit(code);
    }
  }

  /** Runs a command; answers its exit code. */
  public static int run(String... args) {
    Locale.setDefault(Locale.ROOT); // numbers are told alike on every computer
    CommandLine command =
        commandLine(args)
            .setExecutionExceptionHandler(Trouble::handle)
            .setCaseInsensitiveEnumValuesAllowed(true);
    int code = command.execute(args.length == 0 ? new String[] {"--help"} : args);
    // a full disk behind standard output is not told otherwise
    if (code != ServeCommand.RUNNING && System.out.checkError()) {
      command
          .getErr()
          .println("standard output: it cannot be written; what is missing is not told");
      return UNUSABLE;
    }
    return code;
  }

  /**
   * With the command that is called, as reading all of them takes a fifth of a short start; else
   * all.
   */
  private static CommandLine commandLine(String... args) {
    List<Class<?>> called =
        COMMANDS.stream().filter(one -> args.length > 0 && name(one).equals(args[0])).toList();
    CommandLine command = new CommandLine(new Hamper());
    (called.isEmpty() ? COMMANDS : called).forEach(one -> command.addSubcommand(one));
    return command;
  }

  private static String name(Class<?> command) {
    return command.getAnnotation(Command.class).name();
  }
}
