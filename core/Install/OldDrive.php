<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Question;

/** The drive that comes out of a machine, or what has to be known to name it (rules I1, K2). */
final readonly class OldDrive
{
    /**
     * @param  list<Question>  $questions
     * @param  list<Blocker>  $blockers
     */
    private function __construct(public ?Drive $drive, public array $questions, public array $blockers)
    {
    }

    /** The named one, else the only internal one; asked for among several. */
    public static function of(Machine $machine): self
    {
        $internal = $machine->internalDrives();
        $named = NamedDrive::among($internal, $machine, 'swap');
        $only = count($internal) === 1 && $named->blockers === [] ? $internal[0] : null;
        $drive = $named->drive ?? $only;
        $asked =
            $drive === null && $named->blockers === [] && $internal !== []
                ? [
                    TargetDrive::which($internal, 'Which drive comes out?', 'swap.drive', [
                        Act::OpenMachine,
                        Act::FitPart,
                    ]),
                ]
                : [];

        return new self($drive, $asked, $named->blockers);
    }
}
