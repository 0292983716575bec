<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Certainty;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\PutBack;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Text\Lowered;

/** Whether the wanted system fits the machine, need by need, and what a bypass would cost (rules A2, A10). */
final readonly class Requirements
{
    /** @param  list<Requirement>  $rows */
    private function __construct(public Fit $fit, public array $rows, public Contribution $contribution)
    {
    }

    /** @param  string  $school  the bench's policy on bypasses: off or recorded */
    public static function assess(InstallWish $wish, string $school): self
    {
        $system = $wish->system;
        $rows = RequirementRows::of($wish);
        $short = array_values(
            array_filter(
                $rows,
                static fn (Requirement $row): bool => $row->verdict === Requirement::SHORT &&
                    ! str_ends_with($row->id, '_ceiling'),
            ),
        );
        $hard = array_values(array_filter($short, static fn (Requirement $row): bool => ! $row->bypassable));
        $fit = match (true) {
            $hard !== [] => Fit::Cannot,
            $short !== [] => Fit::OnlyWithBypass,
            array_filter($rows, static fn (Requirement $row): bool => $row->verdict === Requirement::AFTER_SETTING) !==
                [] => Fit::AfterSettings,
            default => Fit::Fits,
        };
        $blockers = self::blockers($system, $hard, $fit, $school, $short);
        $steps = $fit === Fit::OnlyWithBypass && $school !== 'off' ? [self::record($system, $short)] : [];

        return new self(
            $fit,
            $rows,
            new Contribution(
                $steps,
                $rows === [] ? [] : [self::decision($system, $fit, $rows)],
                self::questions($system, $rows),
                blockers: $blockers,
                assumed: self::fromCatalogue($wish->machine, $rows),
            ),
        );
    }

    /** @return list<string> ids of the needs whose check is passed over, with a record */
    public function bypassed(): array
    {
        return $this->contribution->steps === []
            ? []
            : array_values(array_map(
                static fn (Requirement $row): string => $row->id,
                array_filter(
                    $this->rows,
                    static fn (Requirement $row): bool => $row->verdict === Requirement::SHORT && $row->bypassable,
                ),
            ));
    }

    /**
     * @param  list<Requirement>  $hard
     * @param  list<Requirement>  $short
     * @return list<Blocker>
     */
    private static function blockers(SystemProfile $system, array $hard, Fit $fit, string $school, array $short): array
    {
        $blockers = array_map(
            static fn (Requirement $row): Blocker => Blocker::stop(
                "fit-{$row->id}",
                self::sentence($system, $row),
                'A2',
                self::door($row),
                ["{$row->title}: {$row->has}"],
            ),
            $hard,
        );
        if ($fit === Fit::OnlyWithBypass && $school === 'off') {
            foreach ($short as $row) {
                $blockers[] = Blocker::stop(
                    "fit-{$row->id}",
                    self::sentence($system, $row).' It can be bypassed, but the bench\'s policy does not allow it.',
                    'A2',
                    Door::choice(
                        'policy.bypass',
                        'A lead may allow it for this job, with a record; or choose another system.',
                        'recorded',
                    ),
                    ["{$row->title}: {$row->has}", 'policy bypass = off'],
                );
            }
        }

        return $blockers;
    }

    /**
     * Needs that are met by what the catalogue says of the model, and nobody has looked.
     *
     * @param  list<Requirement>  $rows
     * @return list<Assumption>
     */
    private static function fromCatalogue(Machine $machine, array $rows): array
    {
        $assumed = [];
        foreach ($rows as $row) {
            $fact = $row->question === null ? null : $machine->fact($row->question);
            if ($fact?->certainty === Certainty::Assumed && $row->verdict === Requirement::MEETS) {
                $assumed[] = new Assumption(
                    $fact->name,
                    "{$row->title}: {$row->has}.",
                    'A2, J7',
                    Door::reading('lshw', 'Read the machine.'),
                );
            }
        }

        return $assumed;
    }

    /** What is short and cannot be passed over: another image, or what was said of the machine is corrected. */
    private static function door(Requirement $row): Door
    {
        $does = 'Choose another image, or correct what is known of the machine.';

        return $row->id === 'architecture' ? Door::choice('image', $does) : match ($row->question) {
            null => Door::choice('image', $does),
            default => Door::fact($row->question, 'Choose another image; or, where it is wrong or changed, say what '
                .'the machine has.'),
        };
    }

    private static function sentence(SystemProfile $system, Requirement $row): string
    {
        return "{$system->name} needs {$row->title}: {$row->needs}; this machine: {$row->has}.".
            ($row->note === '' ? '' : ' '.ucfirst($row->note).(str_ends_with($row->note, '.') ? '' : '.'));
    }

    /** @param  list<Requirement>  $rows */
    private static function title(Fit $fit, array $rows): string
    {
        $unknown = array_filter($rows, static fn (Requirement $row): bool => $row->verdict === Requirement::UNKNOWN);

        $idle = array_values(
            array_filter(
                $rows,
                static fn (Requirement $row): bool => $row->verdict === Requirement::SHORT &&
                    str_ends_with($row->id, '_ceiling'),
            ),
        );

        return $fit->title().
            ($unknown === [] ? '' : ', as far as is known').
            ($idle === []
                ? ''
                : '; '.
                    implode(
                        ' ',
                        array_map(
                            static fn (Requirement $row): string => Lowered::of(
                                "{$row->title}: {$row->needs}. {$row->note}",
                            ),
                            $idle,
                        ),
                    ));
    }

    /** @param  list<Requirement>  $rows */
    private static function decision(SystemProfile $system, Fit $fit, array $rows): Decision
    {
        $reasons = array_map(
            static fn (Requirement $row): string => "{$row->title}: {$row->verdict}".
                ($row->note === '' ? '' : " ({$row->note})").
                '.',
            $rows,
        );

        return new Decision(
            'assess.fit',
            "Does {$system->name} fit",
            self::title($fit, $rows),
            $reasons,
            [],
            array_map(static fn (Requirement $row): string => "{$row->title}: {$row->has}", $rows),
            'A2',
        );
    }

    /**
     * @param  list<Requirement>  $rows
     * @return list<Question>
     */
    private static function questions(SystemProfile $system, array $rows): array
    {
        $questions = [];
        foreach ($rows as $row) {
            if ($row->verdict === Requirement::UNKNOWN && $row->question !== null) {
                $decides = "whether {$system->name} fits. {$row->title}: {$row->needs}";
                $questions[] = FactQuestion::about($row->question, $decides, 'A2', 30);
            }
        }

        return $questions;
    }

    /** @param  list<Requirement>  $short */
    private static function record(SystemProfile $system, array $short): Step
    {
        $what = implode(', ', array_map(static fn (Requirement $row): string => mb_strtolower($row->title), $short));
        $consequences = $system->bypass->consequences ?? [
            'The publisher may end updates and support for this machine.',
        ];

        return new Step(
            'route.bypass',
            Stage::Route,
            'Record the bypass',
            Presence::Hands,
            Estimate::minutes(1, 2, 6),
            [
                "Tell the owner what is bypassed: {$what}.",
                ...$consequences,
                'Later upgrades and repairs need the same bypass again: it is printed on the handover sheet.',
            ],
            before: [PathFact::TAKEN_IN],
            after: [PathFact::BYPASS_RECORDED],
            needs: ['hands'],
            because: array_map(
                static fn (Requirement $row): Reason => new Reason(
                    self::sentence($system, $row),
                    'A2',
                    $system->dated(),
                ),
                $short,
            ),
            cautions: ['Bypassing a maker\'s requirement may end updates and support.'],
            evidence: [new Evidence('bypass_agreed_by', 'Who agreed to it', EvidenceKind::Person)],
            opens: self::putBack($what, $system),
        );
    }

    /**
     * @return list<PutBack>
     */
    private static function putBack(string $what, SystemProfile $system): array
    {
        return [
            new PutBack(
                'bypass',
                "Requirement bypassed: {$what}",
                "{$system->name} asks for it and this machine does not have it. It stays so.",
                'put-back.sign',
                stays: true,
            ),
        ];
    }

    public function found(): FitFound
    {
        return new FitFound($this->fit, self::title($this->fit, $this->rows), $this->rows);
    }
}
