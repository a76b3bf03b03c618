package hamper.server.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The program. */
@Command(
    name = "hamper",
    mixinStandardHelpOptions = true,
    version = "Hamper 0.1.0",
    description = "Plan, check and hand over holiday light displays.",
    subcommands = {
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
      RestoreCommand.class
    })
public final class Hamper {
  /** Exit code: the input cannot be used. */
  public static final int UNUSABLE = 2;

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
    CommandLine command =
        new CommandLine(new Hamper())
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
}
