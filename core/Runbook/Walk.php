<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Assessment\BackupEvidence;

/** What a person may do on a path now. Every action answers with the log entry's kind and data, or refuses. */
final class Walk
{
    private const TEXT_LIMIT = 4000;

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
    public function confirm(Step $step, string $typed): array
    {
        $this->mustBeOpen($step);
        if ($step->confirmation === null || ! $step->confirmation->accepts($typed)) {
            throw Refused::wrongSerial();
        }

        return ['typed' => $step->confirmation->typed, 'device' => $step->confirmation->device];
    }

    /**
     * @param  array<string, mixed>  $evidence  what was written down, by evidence id
     * @return array<string, string> the evidence as it goes into the log
     *
     * @throws Refused
     */
    public function done(Step $step, array $evidence): array
    {
        $this->start($step);
        if ($this->progress->state($step) === StepState::Trouble) {
            throw Refused::inTrouble($step);
        }
        $given = [];
        foreach ($step->evidence as $wanted) {
            $value = $evidence[$wanted->id] ?? '';
            $value = is_scalar($value) ? trim((string) $value) : '';
            $this->check($wanted, $value);
            $given[$wanted->id] = $value;
        }
        if (isset($given['files_source'])) {
            BackupEvidence::check($given);
        }

        return $given;
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

        return mb_substr($text, 0, self::TEXT_LIMIT);
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
     * @return array<string, mixed> what the log keeps of it
     *
     * @throws Refused
     */
    public function retry(Step $step): array
    {
        if ($this->progress->state($step) !== StepState::Trouble) {
            throw Refused::evidence('step', "\"{$step->title}\" has no problem open; there is nothing to try again.");
        }

        return ['try' => $this->progress->tries($step) === 0 ? 2 : $this->progress->tries($step) + 1];
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
                if (trim($agreedBy) === '') {
                    throw Refused::evidence('agreed_by', 'Say who agreed to the waiver: the owner or who speaks for the owner.');
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
        $shut = array_values(array_filter($this->progress->shut($step), static fn (Shut $one): bool => $one->isHere()));
        if ($shut !== []) {
            throw Refused::shut($step, $shut);
        }
        $missing = $this->progress->missing($step);
        if ($missing !== []) {
            throw Refused::notReady($step, $missing);
        }
        $others = array_filter($this->progress->open(), static fn (Step $open): bool => $open->id !== $step->id);
        if ($others !== [] && in_array(Fact::HANDED_OVER, $step->after, true)) {
            throw Refused::stillOpen($step, array_values($others));
        }
    }

    private function check(Evidence $wanted, string $value): void
    {
        $wrong = match (true) {
            $value === '' => "Write down: {$wanted->label}.",
            mb_strlen($value) > self::TEXT_LIMIT => "{$wanted->label}: no more than ".self::TEXT_LIMIT.' characters.',
            in_array($wanted->kind, ['count', 'bytes'], true) && (! ctype_digit(str_replace([' ', '_'], '', $value)) || strlen($value) > 20) => "{$wanted->label}: a whole number is wanted, \"".mb_substr($value, 0, 30).'" is none.',
            $wanted->least !== null && (int) str_replace([' ', '_'], '', $value) < $wanted->least => "{$wanted->label}: at least {$wanted->least} is needed, {$value} is not enough yet.",
            $wanted->kind === 'choice' && ! isset($wanted->options[$value]) => "{$wanted->label}: choose one of ".implode(', ', $wanted->options).'.',
            default => null,
        };
        if ($wrong !== null) {
            throw Refused::evidence($wanted->id, $wrong);
        }
    }
}
