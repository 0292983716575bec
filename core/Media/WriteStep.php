<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\WorksOn;

/** The stone that writes the stick. */
final class WriteStep
{
    public static function write(
        Image $image,
        StickChoice $choice,
        Writing $writing,
        HostSpace $space,
        DriverPlace $place,
        HostWords $host,
    ): Step {
        [$stick, $bytes] = [$choice->stick, $writing->bytes];

        return new Step(
            'media.write',
            Stage::Media,
            'Write the stick',
            Presence::WalkAway,
            $bytes === null ? Estimate::minutes(3, 10, 60) : Estimate::around($writing->time->time),
            $host->host === null
                ? self::instructions($image, $writing, $place)
                : $host->writing($image, $writing->mode),
            before: [PathFact::IMAGE_PROVEN, PathFact::STICK_IDENTIFIED, PathFact::DRIVERS_FETCHED],
            after: [PathFact::STICK_WRITTEN],
            needs: ['stick', ...$host->needs()],
            acts: [Act::WriteStick],
            because: self::because($image, $writing, $space, $host),
            cautions: ['Everything on the stick is lost.'],
            confirmation: self::confirmation($stick, $bytes),
            waiting: new Waiting(
                ['the rate drops after the first gigabytes', 'the progress stands still while data is flushed'],
                'Another port; after that another stick.',
            ),
            worksOn: WorksOn::Stick,
        );
    }

    /** @return list<Reason> */
    private static function because(Image $image, Writing $writing, HostSpace $space, HostWords $host): array
    {
        return [
            new Reason(
                $writing->bytes === null
                    ? 'How long it takes is known once the image is measured.'
                    : $writing->time->describe($writing->bytes),
                'M9',
            ),
            new Reason(
                $writing->mode === WriteMode::Raw
                    ? "The stick is {$writing->mode->title()}."
                    : 'The files of the image are copied onto it.',
                'M3',
                $image->dated(),
            ),
            new Reason($space->describe($host->where()), 'M14', ...array_filter([$host->host?->dated()])),
        ];
    }

    /** @return list<string> */
    private static function instructions(Image $image, Writing $writing, DriverPlace $place): array
    {
        [$mode, $bytes, $label, $split] = [$writing->mode, $writing->bytes, $writing->label, $writing->split];
        $instructions =
            $mode === WriteMode::Raw
                ? array_values(
                    array_filter([
                        'Unmount everything on the stick.',
                        $image->kind === 'raw-compressed'
                            ? 'Expand and write in one stream, without a copy in between.'
                            : null,
                        $bytes === null
                            ? 'Write all of it from the first sector on, then sync.'
                            : "Write {$bytes->exact()} from the first sector on, then sync.",
                    ]),
                )
                : array_filter([
                    'Wipe old signatures at both ends, then lay out the table exactly as in the core beside.',
                    $image->besideStorage
                        ? "Format the first partition as FAT32 with label `{$label}` and the geometry of the plan, the "
                            .'second as exFAT for other files.'
                        : "Format the partition as FAT32 with label `{$label}` and the geometry of the plan.",
                    $image->besideStorage
                        ? "A tool that asks where to: the partition `{$label}`, never the whole stick. \"Whole stick\" "
                            .'erases the storage beside it.'
                        : null,
                    $place->decision === null || $place->second !== null
                        ? 'Copy all files of the image.'
                        : 'Copy all files of the image, and the folder with the drivers.',
                    $split === null ? null : "Write {$split->path} as {$split->count()} parts: {$split->describe()}.",
                ]);

        return array_values($instructions);
    }

    private static function confirmation(?Stick $stick, ?Bytes $bytes): Confirmation
    {
        return new Confirmation(
            $stick->name ?? 'the stick you labelled',
            $stick?->size()->count ?? ($bytes->count ?? 0),
            $stick?->serial,
            $stick->contents ?? 'whatever is on it',
            'the bench',
            typed: false,
        );
    }
}
