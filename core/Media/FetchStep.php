<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;

/** The stone that fetches an image which this bench does not have: bytes, line, minutes (rule M9). */
final class FetchStep
{
    public const ID = 'image.fetch';

    /** What of a line's name arrives: at best, likely, at worst (rule M9, default). */
    private const OF_NOMINAL = [0.9, 0.75, 0.6];

    /** A measured line is as good as that, give or take (default). */
    private const OF_MEASURED = [1.1, 1.0, 0.7];

    /** @return list<Step> empty where it lies on the shelf, or nobody has looked */
    public static function for(Image $image, Policy $policy): array
    {
        if ($image->atHand === null || $image->atHand->here) {
            return [];
        }
        $measured = $image->atHand->megabits;
        $line = $measured ?? $policy->figure('line_megabits');

        return [
            new Step(
                self::ID,
                Stage::Image,
                'Fetch the image',
                Presence::WalkAway,
                self::minutes($image->bytes, $line, $measured === null ? self::OF_NOMINAL : self::OF_MEASURED),
                [
                    "{$image->file}, {$image->size()->decimal()}, from: ".($image->source ?? 'its publisher').'.',
                    'Fetch it onto the shelf: what breaks off goes on where it stopped.',
                    $image->sha256 === null
                        ? 'The catalogue has no checksum of it: look for the publisher\'s where it is fetched.'
                        : 'What has come is compared with the publisher\'s checksum before it is used.',
                ],
                after: [PathFact::IMAGE_FETCHED],
                needs: ['bench computer', 'network'],
                because: [
                    new Reason(self::because($image, $line, $measured !== null), 'M9', $image->dated()),
                ],
                waiting: new Waiting(
                    ['the rate goes up and down'],
                    'Look whether bytes still come; stop it and go on, it begins where it stopped.',
                ),
            ),
        ];
    }

    /** @return list<string> facts that the check of the image waits for */
    public static function before(Image $image): array
    {
        return $image->atHand === null || $image->atHand->here ? [] : [PathFact::IMAGE_FETCHED];
    }

    /** @param  array{float, float, float}  $shares  of the line, at best, likely, at worst */
    private static function minutes(int $bytes, float $megabits, array $shares): Estimate
    {
        $minutes = static fn (float $share): float => $bytes * 8 / ($megabits * 1e6 * $share) / 60;

        return Estimate::minutes($minutes($shares[0]), $minutes($shares[1]), $minutes($shares[2]));
    }

    private static function because(Image $image, float $line, bool $measured): string
    {
        $rate = rtrim(rtrim(number_format($line, 1, '.', ''), '0'), '.');

        return "{$image->size()->exact()} over a line of {$rate} Mb/s, ".($measured
            ? 'as it was measured here.'
            : 'as it is called: six to nine tenths of that arrive.');
    }
}
