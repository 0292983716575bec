<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Text\Lowered;

/** The stone at which the questions of a first start are answered from a list, each ticked (rule I4). */
final class AnswersStep
{
    /** @param  list<FirstAnswer>  $answers */
    public static function of(SystemProfile $system, string $autoEncryption, array $answers): Step
    {
        $encryption = self::encryptionRow($system, $autoEncryption);
        $byHand = array_values(array_filter($answers, static fn (FirstAnswer $of): bool => ! $of->inFile));
        $inFile = array_values(array_filter($answers, static fn (FirstAnswer $of): bool => $of->inFile));

        return new Step(
            'first-boot.answers',
            Stage::FirstBoot,
            'First boot',
            Presence::Hands,
            $system->firstBoot->estimate(),
            self::reading($inFile),
            before: [PathFact::SYSTEM_INSTALLED],
            after: [PathFact::FIRST_BOOT_DONE],
            needs: ['hands'],
            acts: [Act::WriteSystem],
            evidence: [
                self::answered([
                    ...array_map(static fn (FirstAnswer $of): string => $of->tick(), $byHand),
                    ...array_column($encryption, 'asked'),
                    ...$inFile === [] ? [] : ['Nothing else was asked'],
                ]),
            ],
            because: [
                new Reason(
                    'These are the questions this system asks, and what this job answers.',
                    'I4',
                    $system->dated(),
                ),
            ],
            rows: [
                ...array_map(self::row(...), $byHand),
                ...$encryption,
                ...array_map(self::row(...), $inFile),
            ],
        );
    }

    /**
     * @param  list<FirstAnswer>  $inFile
     * @return list<string>
     */
    private static function reading(array $inFile): array
    {
        $asks = implode(', ', array_map(static fn (FirstAnswer $of): string => Lowered::of($of->ask), $inFile));

        return [
            'Answer from this list as the system asks, and tick each. What was answered otherwise stays unticked, with '
                .'the reason.',
            ...$inFile === []
                ? []
                : [
                    "Not asked, as the answer file says it: {$asks}. "
                        .'Where it is asked all the same, the file was not found.',
                ],
        ];
    }

    /** @return array<string, string> */
    private static function row(FirstAnswer $answer): array
    {
        return [
            'asked' => $answer->ask,
            'answer' => $answer->answer,
            'because' => $answer->inFile ? "in the answer file; {$answer->because}" : $answer->because,
        ];
    }

    /** @param  list<string>  $ticks  what is asked, in order */
    private static function answered(array $ticks): Evidence
    {
        return new Evidence(
            'answered',
            'Answered as listed',
            EvidenceKind::Ticks,
            expected: new Expected(implode('; ', $ticks)),
            overruledBy: ['technician', 'lead'],
            remedy: 'Most of it can be set later; the account and the computer\'s name cannot without effort.',
        );
    }

    /** @return list<array<string, string>> */
    private static function encryptionRow(SystemProfile $system, string $policy): array
    {
        return $system->autoEncryption
            ? [
                [
                    'asked' => 'Drive encryption',
                    'answer' => $policy === 'owner-keeps-key'
                            ? 'on; the owner keeps the key'
                            : 'off, before the first restart',
                    'because' => 'bench policy',
                ],
            ]
            : [];
    }
}
