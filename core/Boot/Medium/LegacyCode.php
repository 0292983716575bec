<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

/** What stands in sector 0 for firmware that starts the old way. */
enum LegacyCode: string
{
    /** No mark 55AA: such firmware goes on to the next device. */
    case NoMark = 'no-mark';
    /** The mark, but zeros where code would stand: entered all the same, and lost. */
    case Zeros = 'zeros';
    /** It neither ends nor says anything. */
    case Hangs = 'hangs';
    case Starts = 'starts';
    /** It prints a message and waits. */
    case Stops = 'stops';
    /** It gives control back, and the firmware goes on. */
    case Returns = 'returns';
    case Unknown = 'unknown';

    public function title(): string
    {
        return match ($this) {
            self::NoMark => 'sector 0 does not end in 55AA',
            self::Zeros => 'sector 0 ends in 55AA, but there are zeros where code would stand',
            self::Hangs => 'the code in sector 0 says nothing and never ends',
            self::Starts => 'sector 0 holds code that loads more',
            self::Stops => 'the code in sector 0 only prints that there is nothing to start',
            self::Returns => 'the code in sector 0 finds nothing to start and gives back',
            self::Unknown => 'what the code in sector 0 does is not known',
        };
    }
}
