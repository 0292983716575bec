<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Assessment\KnownTroubles;
use Cobblestone\Catalogue\InstallerOption;
use Cobblestone\Catalogue\InstallerScreen;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Model\KnownTrouble;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** The system is tried from the stick before anything is written, where the medium offers it (rule T6). */
final readonly class TryLive
{
    private const PORTABLE_ONLY = ['sleep', 'camera'];

    private const ANSWERS = ['works' => 'works', 'fails' => 'fails', 'none' => 'not there', 'not read' => 'not tried'];

    private function __construct(private string $words, private Kind $kind, private KnownTroubles $known)
    {
    }

    /** Null where the medium does not offer it, or the bench does not want it on this job. */
    public static function of(SystemProfile $system, Kind $kind, KnownTroubles $known, Policy $policy): ?self
    {
        $offer = self::offer($system);
        $wanted = match ($policy->school('try_live')) {
            'never' => false,
            'where-known' => $known->known !== [],
            default => true,
        };

        return $offer === null || ! $wanted ? null : new self($offer->words, $kind, $known);
    }

    /** The line of the start list that runs the system from the stick. */
    public static function offer(SystemProfile $system): ?InstallerOption
    {
        foreach ($system->screens as $screen) {
            foreach (self::lines($screen) as $option) {
                if ($option->does === 'live') {
                    return $option;
                }
            }
        }

        return null;
    }

    public function step(): Step
    {
        $evidence = array_map($this->row(...), $this->functions());

        return new Step(
            'try-live.look',
            Stage::TryLive,
            'Try it live',
            Presence::Hands,
            Estimate::minutes(3, 6, 15),
            [
                "In the start list pick \"{$this->words}\".",
                'Try each of these and write down what it does. Nothing is written to the drive.',
                'A fail is told to the owner now: go on with it, or change on the intake page what goes on.',
            ],
            before: [PathFact::MEDIUM_STARTED],
            after: [PathFact::TRIED_LIVE],
            needs: ['hands'],
            done: DoneWords::of(
                'It was tried from the stick before anything was written',
                ...array_map(static fn (Evidence $one): string => $one->id, $evidence),
            ),
            because: [new Reason('What fails here fails after the install, when there is no way back.', 'T6')],
            evidence: $evidence,
        );
    }

    /** @return list<string> */
    private function functions(): array
    {
        $all = array_keys(KnownTrouble::FUNCTIONS);

        return $this->kind->isPortable() ? $all : array_values(array_diff($all, self::PORTABLE_ONLY));
    }

    private function row(string $function): Evidence
    {
        $known = $this->known->about($function);

        return new Evidence(
            "live_{$function}",
            KnownTrouble::FUNCTIONS[$function],
            EvidenceKind::Choice,
            self::ANSWERS,
            expected: new Expected('works|none'),
            overruledBy: ['technician', 'lead'],
            remedy: $known === ''
                ? 'Nothing is known of it on this model. Go on only if the owner agrees; say so as the reason.'
                : "Known: {$known} Go on only if the owner agrees; say so as the reason.",
            mayBeOpen: true,
        );
    }

    /** @return list<InstallerOption> */
    private static function lines(InstallerScreen $screen): array
    {
        return $screen->about === 'start' ? $screen->options : [];
    }
}
