<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Brief\FirstBootBlock;
use Cobblestone\Catalogue\AnswerFileProfile;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\WorksOn;

/**
 * The file from which the installer takes its answers: whether there is one on this job's stick, what stands in it,
 * and the stone that puts it there (rule I4).
 */
final readonly class AnswerFile
{
    /** The stone that puts it on the stick; a mark of the answers follows. */
    public const STEP = 'media.answers';

    /** @param  AnswerFileProfile|null  $profile  null where this job has none */
    private function __construct(
        public ?AnswerFileProfile $profile,
        public Contribution $contribution,
        private string $mark = '',
    ) {
    }

    /**
     * @param  bool  $copied  whether files are copied onto the stick; one written raw takes none
     * @param  array<string, string|list<string>>  $values  what stands in it: other answers are another file, and the
     *     stone that put the first one there does not speak for the next
     */
    public static function of(SystemProfile $system, bool $copied, Policy $policy, array $values = []): self
    {
        $profile = $system->answerFile;
        if ($profile === null) {
            return new self(null, new Contribution());
        }
        $byHand = match (true) {
            ! $copied => 'The stick is written raw and carries nothing beside the image.',
            $policy->school('answers') === 'list' => 'The bench answers by hand.',
            default => null,
        };
        $decision = new Decision(
            'install.answers',
            'How the first start is answered',
            $byHand === null ? "by a file on the stick, {$profile->path}" : 'from the list, by hand',
            [
                $byHand ?? count($profile->answers).' of '.count($system->firstBoot->rows).' questions are in it; '
                    .'nothing secret is.',
            ],
            $byHand === null
                ? ['from the list alone' => ['What is typed twice is mistyped once.']]
                : ['by a file on the stick' => [$byHand]],
            [$system->dated(), "policy answers = {$policy->school('answers')}"],
            'I4',
        );

        $mark = self::mark($profile, $values);

        return $byHand === null
            ? new self($profile, new Contribution([self::step($system, $profile, $mark)], [$decision]), $mark)
            : new self(null, new Contribution(decisions: [$decision]));
    }

    /**
     * What is put onto a stick after it was written is read back with the rest: the reading waits for it (rule M11).
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    public static function readBackLast(array $steps): array
    {
        $put = array_merge(...array_map(
            static fn (Step $step): array => in_array(PathFact::STICK_WRITTEN, $step->before, true)
                && in_array(Act::WriteStick, $step->acts, true) ? $step->after : [],
            $steps,
        ), ...[[]]);

        return array_map(
            static fn (Step $step): Step => $step->bringsAbout(PathFact::STICK_PROVEN)
                ? array_reduce($put, static fn (Step $of, string $fact): Step => $of->waitingFor($fact), $step)
                : $step,
            $steps,
        );
    }

    /** @return list<string> facts that hold before the drive is erased */
    public function waits(): array
    {
        return $this->profile === null ? [] : [PathFact::answersPlaced($this->mark)];
    }

    /**
     * What a template may say of this job. There is nothing secret in it, so that nothing secret can get out.
     *
     * @param  list<string>  $bypass  needs whose check is passed over, as far as policy and record allow
     * @return array<string, string|list<string>>
     */
    public static function values(
        SystemProfile $system,
        FirstBootBlock $said,
        Policy $policy,
        ?string $edition,
        array $bypass,
    ): array {
        return [
            'computer_name' => $said->computerName ?? '',
            'region' => $said->region ?? $policy->text('region'),
            'keyboard' => $said->keyboard ?? $policy->text('keyboard'),
            'use' => $said->use ?? 'personal',
            'account' => FirstAnswers::accountIsLocal($system, $said, $policy) ? 'local' : 'online',
            'restore' => $said->restore ?? 'new',
            'diagnostics' => $policy->school('diagnostics'),
            'offers' => $policy->school('offers'),
            'updates' => $policy->school('setup_updates'),
            'encryption' => $policy->school('auto_encryption') === 'off' ? 'off' : 'on',
            'edition' => $edition ?? '',
            'bypass' => $bypass,
        ];
    }

    /** @param  array<string, string|list<string>>  $values */
    private static function mark(AnswerFileProfile $profile, array $values): string
    {
        return $values === []
            ? ''
            : substr(hash('sha256', $profile->template.json_encode($values, JSON_THROW_ON_ERROR)), 0, 8);
    }

    /** The stone of a path that puts its file on the stick, the last where answers changed on the way. */
    public static function stone(Plan $plan): ?Step
    {
        $placing = array_filter($plan->steps, static fn (Step $step): bool => array_filter(
            $step->after,
            static fn (string $fact): bool => str_starts_with($fact, PathFact::ANSWERS_PLACED),
        ) !== []);

        return $placing === [] ? null : $placing[array_key_last($placing)];
    }

    private static function step(SystemProfile $system, AnswerFileProfile $profile, string $mark): Step
    {
        return new Step(
            self::STEP.($mark === '' ? '' : "-{$mark}"),
            Stage::Media,
            'Put the answer file on the stick',
            Presence::Hands,
            Estimate::minutes(0.5, 1, 4),
            [
                "Take the answer file from this job and save it on the stick as `{$profile->path}`. "
                    .'A stick built on the shelf with the answer file of this job has it already.',
                'Read it back and compare its checksum with the page.',
                'Leave the builder\'s own customising off: two answers to one question stop the installer.',
            ],
            before: [PathFact::STICK_WRITTEN],
            after: [PathFact::answersPlaced($mark)],
            needs: ['stick', 'bench computer'],
            done: DoneWords::of('The answers to the first questions were prepared in a file'),
            acts: [Act::WriteStick],
            because: [
                new Reason(
                    "{$system->name} takes answers from a file of that name, as of {$profile->asOf}.",
                    'I4',
                    $system->dated(),
                ),
            ],
            evidence: [
                new Evidence(
                    'checksum',
                    'The checksum on the stick',
                    EvidenceKind::Choice,
                    ['equal' => 'is equal', 'differs' => 'differs'],
                    expected: new Expected('equal'),
                    remedy: 'Save it once more and eject the stick before you read it.',
                ),
            ],
            worksOn: WorksOn::Stick,
        );
    }
}
