package hamper.edit;

import hamper.address.IpAddress;
import hamper.address.Packing;
import hamper.address.PortStart;
import hamper.address.Protocol;
import hamper.address.Transport;
import hamper.display.ControllerSettings;

/** What changes of a controller's settings. Its mode is changed by {@link SetMode}. */
public record SettingsChange(
    Change<Protocol> protocol,
    Change<Transport> transport,
    Change<IpAddress> address,
    Change<Integer> firstUniverse,
    Change<Integer> universeSize,
    Change<Packing> packing,
    Change<PortStart> portStart,
    Change<Integer> reserveUniverses,
    Change<Integer> reserveChannels,
    Change<Integer> brightness,
    Change<String> source,
    Change<String> zone,
    Change<String> enclosure,
    Change<String> note)
    implements ChangeOf<ControllerSettings> {}
