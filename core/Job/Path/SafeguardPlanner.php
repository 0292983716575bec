<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Backup\Destination;
use Cobblestone\Assessment\BackupPlan;
use Cobblestone\Assessment\BackupSituation;
use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\EncryptionAssessment;
use Cobblestone\Assessment\Health\HealthAssessment;
use Cobblestone\Assessment\Memory\MemorySheet;
use Cobblestone\Assessment\Safeguards;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Job\JobContext;
use Cobblestone\Machine\Drive;
use InvalidArgumentException;

/** Works out what a path does before it changes anything, from what the job brings (rules A4–A7, A13). */
final class SafeguardPlanner
{
    /**
     * @param  list<Drive>  $others  drives that stay beside the one worked on
     * @param  callable(bool): EncryptionIntent  $intent  given whether something has to be kept
     * @param  bool  $writes  whether the path writes to the drive
     *
     * @throws BriefFault
     */
    public static function plan(
        JobContext $context,
        ?Drive $drive,
        array $others,
        callable $intent,
        bool $writes,
    ): Safeguards {
        $memory = self::sheet($context);
        $health = HealthAssessment::assess($context->machine, $drive, $context->catalogue->healthRules(), $writes);
        $backup = BackupPlan::plan(
            $context->machine,
            $drive,
            $context->brief->backup,
            $context->brief->owner,
            $context->policy,
            new BackupSituation(
                $health->rescueFirst(),
                $context->kind()->keepsSystem(),
                $context->present()?->checksums,
            ),
        );
        $encryption = EncryptionAssessment::assess(
            $context->machine,
            $drive,
            $others,
            $intent($backup->somethingToKeep()),
        );

        $destination = $backup->copies() ? Destination::failing($context->brief->backup, $health->drives) : [];

        return new Safeguards($backup, $encryption, $health, $memory, $destination);
    }

    private static function sheet(JobContext $context): ?MemorySheet
    {
        if ($context->brief->memory === null) {
            return null;
        }
        try {
            return MemorySheet::of($context->brief->memory);
        } catch (InvalidArgumentException $e) {
            throw BriefFault::at('memory', $e->getMessage());
        }
    }
}
