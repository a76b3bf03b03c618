package hamper.server.api;

import hamper.server.network.LineRuns;
import hamper.server.output.MachineAdapter;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.net.SocketException;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is known of the machine that Hamper runs on. */
@RestController
@RequestMapping("/api/machine")
@Tag(name = "machine")
class MachineController {
  private final LineRuns lines;

  MachineController(LineRuns lines) {
    this.lines = lines;
  }

  @GetMapping("/adapters")
  @Operation(summary = "The network adapters of the machine that Hamper runs on")
  List<MachineAdapter> adapters() throws SocketException {
    return MachineAdapter.all();
  }

  @GetMapping("/serial-ports")
  @Operation(summary = "Serial ports of this computer")
  List<String> serialPorts() {
    return lines.serialPorts();
  }
}
