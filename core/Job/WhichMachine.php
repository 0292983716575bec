<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Question;

/**
 * The machine that a step cannot be undone for, named by model, board, revision and serial: the right machine, not only
 * the right drive (rules K2, U9).
 */
final readonly class WhichMachine
{
    public const SERIAL = 'machine.serial';

    /** Said where the label bears none, or cannot be read any more. */
    public const NO_SERIAL = 'none';

    public function __construct(private Machine $machine, private string $owner)
    {
    }

    /** Its serial; null while nobody has said it, and where it bears none. */
    public function serial(): ?string
    {
        $serial = trim($this->machine->fact(self::SERIAL)->text());

        return $serial === '' || strcasecmp($serial, self::NO_SERIAL) === 0 ? null : $serial;
    }

    /** "Norrel Fairlead 13 · board NF-13A, revision 2" */
    public function title(): string
    {
        $board = $this->machine->fact('board.name')->text();
        $revision = $this->machine->fact('board.revision')->text();
        $parts = array_filter([
            trim($this->machine->title),
            trim(($board === '' ? '' : "board {$board}").($revision === '' ? '' : ", revision {$revision}"), ', '),
        ]);

        return implode(' · ', $parts);
    }

    /** @param  string  $loses  what is lost if it is the wrong one, or goes wrong */
    public function confirmation(string $loses): Confirmation
    {
        $serial = $this->serial();

        return new Confirmation($this->title(), 0, $serial, $loses, $this->owner, $serial !== null, machine: true);
    }

    /**
     * @param  list<Act>  $shuts  what is not done while nobody has named it
     * @return list<Question>
     */
    public function questions(array $shuts): array
    {
        return $this->machine->fact(self::SERIAL)->text() !== '' ? [] : [FactQuestion::about(
            self::SERIAL,
            'which machine this is done to: two of a kind on one bench look alike; "none" where it bears none',
            'U9, K2',
            83,
            $shuts,
        )];
    }
}
