<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Facts\FactQuestion;
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
    private function __construct(
        public ?Drive $drive,
        public array $questions,
        public array $blockers,
    ) {
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

        return new self($drive, $internal === [] ? self::others($machine) : $asked, $named->blockers);
    }

    /** @return list<Question> whether there are others, where nobody has read which drives are inside */
    private static function others(Machine $machine): array
    {
        $said = $machine->fact(TargetDrive::OTHERS);
        $shuts = [Act::OpenMachine, Act::FitPart, Act::Erase];
        $decides = 'which drive comes out, and whether another could be taken for it';

        return match (true) {
            $said->is('none') => [],
            $said->is('some') => [new Question(
                Question::DRIVE_READING,
                'More than the one that comes out may be inside. Start any live system on the machine and paste what '
                    .'`lsblk -J -b` prints.',
                [],
                $decides,
                'A1, I1',
                91,
                $shuts,
            )],
            default => [FactQuestion::about(TargetDrive::OTHERS, $decides, 'I1, U2', 89, $shuts)
                ->worded('Besides the drive that comes out, are other drives inside the machine?')],
        };
    }
}
