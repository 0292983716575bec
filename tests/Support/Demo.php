<?php

namespace Tests\Support;

use Cobblestone\Brief\Brief;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Document\Fields;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\JobKind;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\PlannedJob;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Symfony\Component\Yaml\Yaml;

/** The demo world for tests of the core, without framework and database. */
final class Demo
{
    public const BRIEFS = ['fairlead-13', 'capstan-t3', 'pocket-lantern', 'unknown-laptop', 'sealed-stick'];

    /** One brief for each further kind of job. */
    public const KINDS = [
        'stick-for-any',
        'new-capstan',
        'drive-swap',
        'factory-restore',
        'firmware-update',
        'card-swap',
        'repair',
        'cable-restore',
        'upgrade',
    ];

    public const ALL = [...self::BRIEFS, ...self::KINDS];

    public static function catalogue(): Catalogue
    {
        static $catalogue = null;
        if ($catalogue === null) {
            $entries = [];
            foreach (Catalogue::KINDS as $kind) {
                foreach (glob(self::root()."/catalogue/{$kind}/*.yaml") ?: [] as $file) {
                    $document = Yaml::parseFile($file);
                    $entries[$kind][$document['id']] = $document;
                }
            }
            $catalogue = new Catalogue($entries);
        }

        return $catalogue;
    }

    /** @return array<string, mixed> */
    public static function brief(string $name): array
    {
        return Yaml::parseFile(self::root()."/docs/guide/briefs/{$name}.yaml");
    }

    /**
     * @param  array<string, mixed>  $changes  over the brief, one level deep into machine and backup
     * @param  array<string, string>  $policy
     */
    public static function plan(string $name, array $changes = [], array $policy = []): Plan
    {
        $brief = self::brief($name);
        foreach ($changes as $key => $value) {
            $brief[$key] = is_array($value) && is_array($brief[$key] ?? null) ? [...$brief[$key], ...$value] : $value;
        }

        return JobPlanner::plan(Brief::fromArray($brief), self::catalogue(), Policy::of($policy));
    }

    /**
     * @param  list<string>  $before
     * @param  list<string>  $after
     */
    public static function step(string $id, array $before = [], array $after = [], mixed ...$more): Step
    {
        return new Step(
            ...[
                ...[
                    'id' => $id,
                    'stage' => Stage::Install,
                    'title' => ucfirst($id),
                    'presence' => Presence::Hands,
                    'time' => Estimate::minutes(1, 2, 4),
                    'before' => $before,
                    'after' => $after,
                ],
                ...$more,
            ],
        );
    }

    /**
     * @param  list<Step>  $steps
     * @param  list<string>  $initial
     */
    public static function planOf(array $steps, array $initial = []): Plan
    {
        return self::planned($steps, $initial);
    }

    /**
     * @param  list<Step>  $steps
     * @param  list<string>  $initial
     * @param  list<Decision>  $decisions
     * @param  array<string, mixed>  $assessment
     */
    public static function planned(
        array $steps,
        array $initial = [],
        array $decisions = [],
        array $assessment = [],
        ?PlannedJob $job = null,
    ): Plan {
        $none = Fields::of([]);
        $job ??= self::job();
        $found = Fields::of($assessment, 'assessment');

        return new Plan($job, [], [], $decisions, $steps, [], $initial, $none, [], [], $none, $found);
    }

    /** @param  array<string, mixed>  $data */
    public static function entry(int $id, EntryKind $kind, ?string $step, int $at = 0, array $data = []): LogEntry
    {
        return new LogEntry($id, $kind, $step, $at, 'technician', $data);
    }

    public static function root(): string
    {
        return dirname(__DIR__, 2);
    }

    /** What a plan is for, of which a test says only what it is about. */
    public static function job(
        JobKind $kind = JobKind::CleanInstall,
        ?string $system = null,
        ?string $stick = null,
    ): PlannedJob {
        return new PlannedJob(
            'Test',
            $kind,
            'the lounge',
            'Norrel Fairlead 13',
            null,
            'laptop',
            $system,
            null,
            null,
            $stick,
        );
    }
}
