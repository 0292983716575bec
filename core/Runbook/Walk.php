<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What a person may do on a path now. Every action answers with the log entry's kind and data, or refuses. */
final class Walk
{
    public function __construct(private readonly Progress $progress)
    {
    }

    public function step(string $id): Step
    {
        return $this->progress->plan->step($id) ?? throw Refused::unknownStep($id);
    }

    /**
     * @return array<string, mixed> what the log keeps of it
     *
     * @throws Refused
     */
    public function start(Step $step): array
    {
        $this->mustBeOpen($step);
        if ($step->isOneWay() && ! $this->progress->isConfirmed($step)) {
            throw Refused::notConfirmed($step);
        }

        return [];
    }

    /**
     * The confirmation of a one-way step; what was typed is compared and not kept.
     *
     * @return array<string, mixed> what the log keeps of it
     *
     * @throws Refused
     */
    public function confirm(Step $step, string $typed, string $readFrom = ''): array
    {
        $this->mustBeOpen($step);
        $this->mustBeWithoutTrouble($step);
        if ($step->confirmation === null || ! $step->confirmation->accepts($typed)) {
            throw Refused::wrongSerial($step->confirmation?->machine === true);
        }

        if (! $step->confirmation->typed) {
            return ['typed' => false, 'device' => $step->confirmation->device];
        }
        if (! isset($step->confirmation->readFrom()[$readFrom])) {
            throw Refused::evidence(
                'read_from',
                'Say where the serial was read: '.
                    implode(', ', $step->confirmation->readFrom()).
                    '. From our own screen it proves nothing.',
            );
        }

        return ['typed' => true, 'device' => $step->confirmation->device, 'read_from' => $readFrom];
    }

    /**
     * A stone is laid: its evidence is read and compared, and what differs holds it until somebody who may has
     * accepted it.
     *
     * @param  array<string, mixed>  $evidence  what was written down, by evidence id
     * @param  array<string, mixed>  $accepted  why a difference is accepted, by evidence id
     * @param  string  $role  of the person
     * @param  int|null  $now  the moment, where the stone's clock counts
     * @param  bool  $beforeClock  whether it is said to have been done before the clock ran
     * @return array<string, mixed> what the log keeps of it
     *
     * @throws Refused
     */
    public function done(
        Step $step,
        array $evidence,
        array $accepted = [],
        string $role = '',
        ?int $now = null,
        bool $beforeClock = false,
    ): array {
        $this->start($step);
        $this->mustBeWithoutTrouble($step);
        $kept = WrittenDown::at($step, $evidence, $accepted, $role, $this->progress->evidence());
        $quick = $now !== null && $this->progress->isQuick($step, $now);
        if ($quick && ! $beforeClock) {
            throw Refused::tooQuick($step, $this->progress->elapsed($step, (int) $now));
        }

        return $quick ? [...$kept, 'before_clock' => true] : $kept;
    }

    /** @throws Refused */
    private function mustBeWithoutTrouble(Step $step): void
    {
        if ($this->progress->state($step) === StepState::Trouble) {
            throw Refused::inTrouble($step);
        }
    }

    /**
     * @throws Refused
     */
    public function takeBack(int $now): LogEntry
    {
        return $this->progress->takeBackable($now) ?? throw Refused::tooLate();
    }

    /**
     * Problem and note want words; a problem only on a step that is under way or ready.
     *
     * @throws Refused
     */
    public function words(string $text): string
    {
        $text = trim($text);
        if ($text === '') {
            throw Refused::noText();
        }

        return mb_substr($text, 0, EvidenceJudge::TEXT_LIMIT);
    }

    /**
     * @throws Refused
     */
    public function problem(Step $step, string $text): string
    {
        $this->mustBeOpen($step);

        return $this->words($text);
    }

    /**
     * After a problem; what it was and what helped, where somebody says so (rule L1).
     *
     * @return array{try: int, cause?: string, fix?: string} what the log keeps of it
     *
     * @throws Refused
     */
    public function retry(Step $step, string $cause = '', string $fix = ''): array
    {
        if ($this->progress->state($step) !== StepState::Trouble) {
            throw Refused::evidence('step', "\"{$step->title}\" has no problem open; there is nothing to try again.");
        }
        if (trim($cause) === '' && trim($fix) !== '') {
            throw Refused::evidence('cause', 'Say what it was too: the next one who sees this looks for that first.');
        }
        $said = array_filter([
            'cause' => mb_substr(trim($cause), 0, EvidenceJudge::TEXT_LIMIT),
            'fix' => mb_substr(trim($fix), 0, EvidenceJudge::TEXT_LIMIT),
        ], static fn (string $one): bool => $one !== '');

        return ['try' => $this->progress->tries($step) === 0 ? 2 : $this->progress->tries($step) + 1, ...$said];
    }

    /**
     * A written waiver of a gate: who agreed, and to what.
     *
     * @throws Refused
     */
    public function waive(Step $step, string $gateId, string $role, string $agreedBy, string $text): Gate
    {
        foreach ($step->gates as $gate) {
            if ($gate->id === $gateId) {
                if ($gate->waivableBy === []) {
                    throw Refused::notWaivable($gate);
                }
                if (! in_array($role, $gate->waivableBy, true)) {
                    throw Refused::role('waive this gate', 'a '.implode(' or a ', $gate->waivableBy));
                }
                if (! EvidenceFault::isPerson($agreedBy)) {
                    throw Refused::evidence(
                        'agreed_by',
                        'Say who agreed to the waiver: the owner or who speaks for the owner.',
                    );
                }
                $this->words($text);

                return $gate;
            }
        }
        throw Refused::unknownStep($gateId);
    }

    private function mustBeOpen(Step $step): void
    {
        if ($this->progress->state($step)->isClosed()) {
            throw Refused::alreadyDone($step);
        }
        $shut = array_values(
            array_filter($this->progress->shut($step), static fn (Shut $one): bool => $one->isHere()),
        );
        if ($shut !== []) {
            throw Refused::shut($step, $shut);
        }
        $missing = $this->progress->missing($step);
        if ($missing !== []) {
            throw Refused::notReady($step, $missing);
        }
        $others = array_filter($this->progress->open(), static fn (Step $open): bool => $open->id !== $step->id);
        if ($others !== [] && in_array(PathFact::HANDED_OVER, $step->after, true)) {
            throw Refused::stillOpen($step, array_values($others));
        }
    }
}
