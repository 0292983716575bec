<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\BootEvent;
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
        Image $image,
        StickChoice $choice,
        Writing $writing,
        HostSpace $space,
        DriverPlace $place,
        MediaWish $wish,
    ): array {
        $host = new HostWords($wish->host);

        return [
            ...FetchStep::for($image, $wish->policy),
            self::checkImage($image, $wish->policy, $host),
            self::identify($choice, $host),
            ...$place->second === null ? [] : [DriverStickStep::of($place)],
            WriteStep::write($image, $choice, $writing, $space, $place, $host),
            self::verify($choice, $writing, $host, $place->second !== null),
        ];
    }

    private static function checkImage(Image $image, Policy $policy, HostWords $host): Step
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
                "Run `{$host->sum($file)}` on {$host->where()}.",
                $image->checksumLine(),
            ],
            before: FetchStep::before($image),
            after: [PathFact::IMAGE_PROVEN],
            needs: $host->needs(),
            because: [
                new Reason(
                    "{$image->size()->decimal()} are read at about {$policy->figure(
                        'hash_mb_s',
                    )} MB/s. A damaged image shows here, not at the machine.",
                    'M2',
                    $image->dated(),
                ),
            ],
        );
    }

    private static function identify(StickChoice $choice, HostWords $host): Step
    {
        $stick = $choice->stick;
        $instructions =
            $stick === null
                ? [
                    "Take {$choice->decision->chosen}. Nothing on it may be needed.",
                    "Pull all other removable drives from {$host->where()}, plug it in, and note size and serial from `"
                        .$host->drives('lsblk -o NAME,SIZE,SERIAL,MODEL -b').'`.',
                    'Put a label on it.',
                ]
                : self::finding($stick, $host);

        return new Step(
            'media.identify',
            Stage::Media,
            'Find the stick',
            Presence::Hands,
            Estimate::minutes(1, 2, 4),
            $instructions,
            before: [PathFact::GATHERED],
            after: [PathFact::STICK_IDENTIFIED],
            needs: ['hands', 'stick', ...$host->needs()],
            because: [
                $choice->decision->asReason(),
                new Reason(
                    'Device paths change with every plug; only serial and exact size together name a stick.',
                    'M10',
                ),
            ],
        );
    }

    /**
     * @return list<string>
     */
    private static function finding(Stick $stick, HostWords $host): array
    {
        return [
            "Take {$stick->name}.",
            $stick->serial === null
                ? 'It reports no serial: pull all other removable drives, then compare size, model and port.'
                : 'Compare serial `'.
                    $stick->serial.
                    "` and size `{$stick->size()->count}` with `{$host->drives('lsblk -b -o NAME,SIZE,SERIAL')}`. Both "
                        .'must be equal; one digit off means another device.',
            'Put the label on it before it is written.',
        ];
    }

    private static function verify(StickChoice $choice, Writing $writing, HostWords $host, bool $second): Step
    {
        [$bytes, $verify] = [$writing->bytes, $writing->reading];

        return new Step(
            'media.verify',
            Stage::Media,
            'Read the stick back',
            Presence::WalkAway,
            $bytes === null ? Estimate::minutes(3, 8, 45) : Estimate::around($verify->time),
            instructions: self::reading($host),
            before: [PathFact::STICK_WRITTEN, ...$second ? [PathFact::DRIVERS_ON_STICK] : []],
            after: [PathFact::STICK_PROVEN],
            needs: ['stick', 'bench computer'],
            because: [
                new Reason(
                    $bytes === null
                        ? 'How long it takes is known once the image is measured.'
                        : $verify->describe($bytes),
                    'M9',
                ),
                new Reason('A stick that lies shows here, not at the machine.', 'M11'),
            ],
            waiting: new Waiting(
                ['reading is faster than writing'],
                'Another port; a second difference retires the stick.',
            ),
            boots: [BootEvent::change(['stick.content' => 'written'])],
            worksOn: WorksOn::Stick,
        );
    }

    /** @return list<string> */
    private static function reading(HostWords $host): array
    {
        return [
            ...$host->host === null ? [
                'Pull the stick and plug it in again, so that nothing is read from memory.',
                'Read everything back and compare checksums.',
            ] : [
                "The script has read it back on {$host->where()}, where memory may have answered.",
                'Plug it in here and prove it on the *Stick* page of this job: it is compared with the image.',
            ],
            'A difference: check the image again, use another port, write once more. A second difference retires '
                .'the stick.',
        ];
    }
}
