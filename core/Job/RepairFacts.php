<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Catalogue\Image;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Source;

/** What an answer already implies, so that it is not asked again, and what the shelf answers by itself (rule A3). */
final class RepairFacts
{
    /** A system that gets that far has power and a picture; one that opens its recovery environment has it. */
    private const IMPLIED = [
        'normally' => ['symptom.powers_up' => 'yes', 'symptom.picture' => 'yes', 'old_system.starts' => 'yes'],
        'safe-mode' => ['symptom.powers_up' => 'yes', 'symptom.picture' => 'yes'],
        'recovery' => ['symptom.powers_up' => 'yes', 'symptom.picture' => 'yes', 'recovery.environment' => 'yes'],
    ];

    public static function implied(FactSheet $facts): FactSheet
    {
        $starts = $facts->get('symptom.starts');
        foreach (self::IMPLIED[$starts->spoken()] ?? [] as $name => $value) {
            $facts = self::unless($facts, $name, $value, "it starts: {$starts->spoken()}");
        }
        if ($facts->get('symptom.powers_up')->is('no')) {
            $facts = self::unless(
                self::unless($facts, 'symptom.picture', 'no', 'it does not power up'),
                'symptom.starts',
                'no',
                'it does not power up',
            );
        }

        return $facts;
    }

    /**
     * Whether the image of the job, or one on the shelf, has the same edition and language and is at least as new
     * (rule A3, rung 7).
     */
    public static function image(FactSheet $facts, JobContext $context): FactSheet
    {
        $system = $context->system();
        $build = $facts->get('present.build')->value;
        $edition = $context->brief->edition ?? $facts->get('present.edition')->value;
        if (! is_scalar($build) || ! is_string($edition)) {
            return $facts;
        }
        $language = $facts->get('present.language')->value;
        $images = $context->image !== null ? [$context->image] : array_values($context->catalogue->images());
        $ofOtherLanguage = false;
        foreach ($images as $image) {
            $matches =
                $image->system === $system->id &&
                strcasecmp($image->edition ?? '', $edition) === 0 &&
                ($image->architecture === null ||
                    $facts->get('architecture')->isUnknown() ||
                    $facts->get('architecture')->is($image->architecture)) &&
                version_compare($image->version ?? '0', (string) $build, '>=');
            $speaks = in_array($image->language ?? 'all', ['all', $language], true);
            $ofOtherLanguage = $ofOtherLanguage || ($matches && ! $speaks);
            if ($matches && $speaks) {
                return self::unless(
                    $facts,
                    'image.matches',
                    'yes',
                    "{$image->name}, version {$image->version} against build {$build}",
                );
            }
        }

        if ($ofOtherLanguage && ! is_string($language)) {
            return $facts;
        }

        return self::unless(
            $facts,
            'image.matches',
            'no',
            "no image of edition {$edition} at or above build {$build} on the shelf",
        );
    }

    private static function unless(FactSheet $facts, string $name, string $value, string $origin): FactSheet
    {
        return $facts->get($name)->isUnknown()
            ? $facts->with(Fact::of($name, $value, Source::Reading, $origin))
            : $facts;
    }
}
