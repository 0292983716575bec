<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Fit;
use Cobblestone\Assessment\Route\GentlerWays;
use Cobblestone\Assessment\Route\RouteLadder;
use Cobblestone\Assessment\Route\WeighedRung;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\Kind\Upgrade;
use Cobblestone\Runbook\Question;

/** What is gentler than a job that loses what is on the machine, from what the job brings (rule A3). */
final class GentlerParts
{
    /** As a rung that may be tried, although it is a kind of job of its own. */
    private const UPGRADE = 'upgrade';

    /**
     * @param  Fit|null  $fit  of the wanted system; null where that was not asked
     * @param  Drive|null  $held  what holds the present system, as far as it is known
     * @return GentlerWays|null  null where nothing is on the machine that something gentler could keep
     */
    public static function of(JobContext $context, Safeguards $protection, ?Fit $fit, ?Drive $held): ?GentlerWays
    {
        $table = $context->catalogue->routes();
        if ($table === null || $context->kind()->isNewBuild() || $held?->isBlank() === true) {
            return null;
        }
        $facts = LadderFacts::of($context, $protection, $fit, self::present($context));

        $ladder = RouteLadder::of($table);

        return GentlerWays::before($ladder, $context->goal, $facts, self::upgrade($context), self::asked($context));
    }

    public static function contribution(?GentlerWays $ways, JobKind $kind): Contribution
    {
        return new Contribution(
            decisions: array_filter([$ways?->decision($kind)]),
            questions: $ways->questions ?? [],
        );
    }

    /** The system on the machine: as somebody said, else the one its model comes with, else the wanted one. */
    private static function present(JobContext $context): SystemProfile
    {
        $systems = $context->catalogue->systems();
        $usual = $context->catalogue->images()[$context->machine->model->usualImage ?? ''] ?? null;

        return $systems[$context->machine->fact('present.system')->text()]
            ?? $systems[$usual->system ?? '']
            ?? $context->system();
    }

    /** @return list<Question> which system is on it now, where an upgrade hangs on it */
    private static function asked(JobContext $context): array
    {
        if ($context->system()->upgradesFrom === [] || $context->machine->fact('present.system')->text() !== '') {
            return [];
        }
        $offered = ['another' => 'another'];
        foreach ($context->catalogue->systems() as $system) {
            $offered = [$system->id => $system->name, ...$offered];
        }

        return [
            FactQuestion::about('present.system', 'whether an upgrade in place would do', 'A3', 59)->offering($offered),
        ];
    }

    /** @return list<WeighedRung> the wanted system over the present one, where it can be thought of */
    private static function upgrade(JobContext $context): array
    {
        [$wanted, $present] = [$context->system(), $context->machine->fact('present.system')->text()];
        if ($wanted->upgradesFrom === []) {
            return [];
        }
        $minutes = UpgradeSteps::installing($wanted)->likely->inMinutes();
        $tried = explode(', ', $context->machine->fact('tried')->text());
        [$standing, $why] = match (true) {
            in_array(self::UPGRADE, $tried, true) => [
                WeighedRung::TRIED,
                ['Tried already, and it did not help.'],
            ],
            $present === '' => [WeighedRung::POSSIBLE, ['Not known: which system is on it now.']],
            in_array($present, $wanted->upgradesFrom, true) => [WeighedRung::WORKS, []],
            default => [WeighedRung::OUT, ["{$wanted->name} is not installed over what is on it now."]],
        };
        $title = ucfirst((new Upgrade)->title());
        $keeps = ['files', 'programs', 'settings'];

        return [new WeighedRung(self::UPGRADE, $title, $standing, $why, $keeps, $minutes)];
    }
}
