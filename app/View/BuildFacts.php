<?php

namespace App\View;

use App\Bridge\StickRegister;
use App\Models\StickBuild;
use App\Models\StickState;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\StickPlan;

/** What the page of a build shows. */
final class BuildFacts
{
    /** @return array<string, mixed> */
    public static function of(string $slug, StickBuild $build, StickRegister $register): array
    {
        $plan = $build->stickPlan();
        $stick = $register->find($slug);
        $writing = in_array($build->stage, ['Copy the files', 'Write the image'], true);
        $share = $build->stage_bytes > 0 ? min(1.0, $build->done_bytes / $build->stage_bytes) : null;
        $filled = self::filled($plan, $build, $writing, $share);
        $right =
            $plan->layout === null
                ? StickCore::raw($plan, $build->image?->inspected()?->table)
                : StickCore::planned($plan->layout);

        return [
            'slug' => $slug,
            'title' => $plan->title,
            'stick' => $stick,
            'build' => $build,
            'card' => new BuildCard($build, $share, StickState::of($slug)->condition, self::mayWork()),
            'exports' => self::exports($build),
            'core' => StickCore::of(
                [
                    'title' => 'Stick · '.($stick->name ?? $slug),
                    'note' => $plan->label === null
                        ? 'Written raw, with the table of the image.'
                        : "Label {$plan->label}.",
                ],
                [
                    'bytes' => $plan->device,
                    'sector' => $plan->sector,
                    'scheme' => $plan->layout->scheme->value ?? 'as in the image',
                ],
                self::before($stick, $plan),
                $right,
                ['before', 'after'],
                $filled,
            ),
        ];
    }

    /** Bytes from the start that are done. */
    private static function filled(StickPlan $plan, StickBuild $build, bool $writing, ?float $share): int
    {
        $start = ($plan->layout?->partitions[0]->extent->first ?? 0) * $plan->sector;
        $payload = $plan->bytes() ?? 0;

        return match (true) {
            $build->state === 'done', $build->isUnderWay() && str_starts_with($build->stage, 'Read') => $plan->device,
            $writing && $share !== null => $start + (int) ($share * $payload),
            default => $build->isUnderWay() ? 0 : $start,
        };
    }

    /**
     * @return list<array{name: string, from: int, bytes: int, role: string, lost: true, first_sector: null,
     *     sectors: null}>
     */
    private static function before(?Stick $stick, StickPlan $plan): array
    {
        return [
            [
                'name' => $stick->contents ?? 'whatever was on it',
                'from' => 0,
                'bytes' => $plan->device,
                'lost' => true,
                'role' => 'old',
                'first_sector' => null,
                'sectors' => null,
            ],
        ];
    }

    private static function mayWork(): bool
    {
        return request()->user()?->mayWork() === true;
    }

    /** @return array<string, string> file => what it is; those that this build has */
    public static function exports(StickBuild $build): array
    {
        return array_filter([
            'make-stick.sh' => 'Script',
            'table.sfdisk' => $build->stickPlan()->layout === null ? '' : 'Partition table',
            'plan.json' => 'Plan',
            'SHA256SUMS' => $build->sums() === null ? '' : 'Checksums',
        ]);
    }
}
