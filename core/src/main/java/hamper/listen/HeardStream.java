package hamper.listen;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import java.util.Optional;

/**
 * What one sender sends of one universe to one address, as it was heard; on DDP all that it sends
 * to a device.
 *
 * @param from the sender's address
 * @param name that the sender gives itself on E1.31; empty elsewhere
 * @param to address, group or broadcast that it is sent to
 * @param universe on the wire; 0 on DDP
 * @param packets of levels; on DDP pushes
 * @param perSecond of them while it was heard (1/s); 0 where one was heard
 * @param leastSlots slots of the shortest; on DDP bytes of a frame, as far as its last byte
 * @param mostSlots of the longest
 * @param priority of its last packet, on E1.31
 * @param missing numbers left out between packets
 * @param outOfOrder packets whose number was before one that was heard
 * @param otherStartCodes packets that carry something else than levels
 * @param ended whether it said that it ends
 * @param counted whether a device counted it, because it cannot be heard from here
 */
public record HeardStream(
    Protocol protocol,
    IpAddress from,
    String name,
    IpAddress to,
    int universe,
    long packets,
    double perSecond,
    int leastSlots,
    int mostSlots,
    Optional<Integer> priority,
    long missing,
    long outOfOrder,
    long otherStartCodes,
    boolean ended,
    boolean counted) {}
