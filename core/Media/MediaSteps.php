<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\WorksOn;

/** The stones from the shelf to a stick that is proven (rules M10, M11). */
final class MediaSteps
{
    /** @return list<Step> */
    public static function for(
        Machine $machine,
        Image $image,
        StickChoice $choice,
        WriteMode $mode,
        ?Bytes $bytes,
        WriteTime $write,
        WriteTime $verify,
        ?string $label,
        ?Split $split,
        Policy $policy,
        HostSpace $space,
        DriverPlace $place,
    ): array {
        return [
            self::checkImage($image, $policy),
            self::identify($choice),
            self::write($image, $choice, $mode, $bytes, $write, $label, $split, $space, $place),
            self::verify($choice, $bytes, $verify),
        ];
    }

    private static function checkImage(Image $image, Policy $policy): Step
    {
        $time = DataRate::megabytes($policy->figure('hash_mb_s'))->timeFor($image->size());
        $hash = $image->sha256 ?? null;
        $file = $image->file;

        return new Step(
            'image.check',
            Stage::Image,
            'Check the image',
            Presence::WalkAway,
            Estimate::around($time),
            instructions: [
                "Run `sha256sum {$file}` on the bench computer.",
                $hash === null
                    ? 'The publisher gives no checksum: note the one you got, so that the next stick can be '
                        .'compared with it.'
                    : "It must print `{$hash}`. Anything else: fetch the image again, do not use this one.",
            ],
            after: [PathFact::IMAGE_PROVEN],
            needs: ['bench computer'],
            because: [
                new Reason(
                    "{$image->size()->decimal()} are read at about {$policy->figure(
                        'hash_mb_s',
                    )} MB/s. A damaged image shows here in minutes, on the machine only after half an hour.",
                    'M2',
                    $image->dated(),
                ),
            ],
        );
    }

    private static function identify(StickChoice $choice): Step
    {
        $stick = $choice->stick;
        $instructions =
            $stick === null
                ? [
                    "Take {$choice->decision->chosen}. Nothing on it may be needed.",
                    'Pull all other removable drives from the bench computer, plug it in, and note size and serial '
                        .'from `lsblk -o NAME,SIZE,SERIAL,MODEL -b`.',
                    'Put a label on it.',
                ]
                : [
                    "Take {$stick->name}.",
                    $stick->serial === null
                        ? 'It reports no serial: pull all other removable drives, then compare size, model and port.'
                        : 'Compare serial `'.
                            $stick->serial.
                            "` and size `{$stick->size()->count}` with `lsblk -b -o NAME,SIZE,SERIAL`. Both must be "
                                .'equal; one digit off means another device.',
                    'Put the label on it before it is written.',
                ];

        return new Step(
            'media.identify',
            Stage::Media,
            'Find the stick',
            Presence::Hands,
            Estimate::minutes(1, 2, 4),
            $instructions,
            before: [PathFact::GATHERED],
            after: [PathFact::STICK_IDENTIFIED],
            needs: ['hands', 'stick', 'bench computer'],
            because: [
                $choice->decision->asReason(),
                new Reason(
                    'Device paths change with every plug; only serial and exact size together name a stick.',
                    'M10',
                ),
            ],
        );
    }

    private static function write(
        Image $image,
        StickChoice $choice,
        WriteMode $mode,
        ?Bytes $bytes,
        WriteTime $write,
        ?string $label,
        ?Split $split,
        HostSpace $space,
        DriverPlace $place,
    ): Step {
        $stick = $choice->stick;
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
                    "Format the partition as FAT32 with label `{$label}` and the geometry of the plan.",
                    $place->decision === null || $place->second !== null
                        ? 'Copy all files of the image.'
                        : 'Copy all files of the image, and the folder with the drivers.',
                    $split === null ? null : "Write {$split->path} as {$split->count()} parts: {$split->describe()}.",
                ]);

        if ($place->second !== null) {
            $instructions[] = "Copy the folder with the drivers onto the second stick, {$place->second}.";
        }

        return new Step(
            'media.write',
            Stage::Media,
            'Write the stick',
            Presence::WalkAway,
            $bytes === null ? Estimate::minutes(3, 10, 60) : Estimate::around($write->time),
            $instructions,
            before: [PathFact::IMAGE_PROVEN, PathFact::STICK_IDENTIFIED, PathFact::DRIVERS_FETCHED],
            after: [PathFact::STICK_WRITTEN],
            needs: ['stick', 'bench computer'],
            acts: [Act::WriteStick],
            because: [
                new Reason(
                    $bytes === null
                        ? 'How long it takes is known once the image is measured.'
                        : $write->describe($bytes),
                    'M9',
                ),
                new Reason(
                    $mode === WriteMode::Raw
                        ? "The stick is {$mode->title()}."
                        : 'The files of the image are copied onto it.',
                    'M3',
                    $image->dated(),
                ),
                new Reason($space->describe(), 'M14'),
            ],
            cautions: ['Everything on the stick is lost.'],
            confirmation: new Confirmation(
                $stick->name ?? 'the stick you labelled',
                $stick?->size()->count ?? ($bytes->count ?? 0),
                $stick?->serial,
                $stick->contents ?? 'whatever is on it',
                'the bench',
                typed: false,
            ),
            waiting: new Waiting(
                ['the rate drops after the first gigabytes', 'the progress stands still while data is flushed'],
                'Another port; after that another stick.',
            ),
            worksOn: WorksOn::Stick,
        );
    }

    private static function verify(StickChoice $choice, ?Bytes $bytes, WriteTime $verify): Step
    {
        return new Step(
            'media.verify',
            Stage::Media,
            'Read the stick back',
            Presence::WalkAway,
            $bytes === null ? Estimate::minutes(3, 8, 45) : Estimate::around($verify->time),
            instructions: [
                'Pull the stick and plug it in again, so that nothing is read from memory.',
                'Read everything back and compare checksums.',
                'A difference: check the image again, use another port, write once more. A second difference '
                    .'retires the stick.',
            ],
            before: [PathFact::STICK_WRITTEN],
            after: [PathFact::STICK_PROVEN],
            needs: ['stick', 'bench computer'],
            because: [
                new Reason(
                    $bytes === null
                        ? 'How long it takes is known once the image is measured.'
                        : $verify->describe($bytes),
                    'M9',
                ),
                new Reason('A stick that lies shows here, not after the drive has been erased.', 'M11'),
            ],
            waiting: new Waiting(
                ['reading is faster than writing'],
                'Another port; a second difference retires the stick.',
            ),
            boots: [BootEvent::change(['stick.content' => 'written'])],
            worksOn: WorksOn::Stick,
        );
    }
}
