<?php

namespace App\Jobs;

use App\Devices\Build\BuildFailure;
use App\Devices\Build\BuildProgress;
use App\Devices\Build\BuildResult;
use App\Devices\Build\ElsewhereProof;
use App\Devices\Build\Fingerprint;
use App\Devices\Build\StickBuilder;
use App\Devices\Inspection\FileSource;
use App\Devices\Stick\StickDevice;
use App\Devices\Stick\StickLock;
use App\Devices\Stick\StickMark;
use App\Models\StickEvent;
use App\Models\StickState;
use App\View\StickCore;
use Cobblestone\Catalogue\HostScript;
use Cobblestone\Media\Build\FailureRule;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\StickContent;

/**
 * Builds a stick of the register and keeps its record: unfinished from the first byte, good only when proven (rules
 * M11, M12).
 */
final class BuildStick
{
    /** @throws BuildFailure */
    public function handle(BuildOrder $order, StickDevice $stick, BuildProgress $progress): BuildResult
    {
        $slug = $order->slug;
        $lock = StickLock::take($slug);
        $state = StickState::of($slug);
        if ($state->condition === StickCondition::Retired) {
            throw BuildFailure::of('protected', 'This stick is retired. Take another one.');
        }
        $before = $state->exists ? $state : null;
        // On the disk first, on record second, and only then the first byte.
        $stood = StickMark::stands($slug);
        StickMark::put($slug);
        StickState::become($slug, StickCondition::Unfinished, ['title' => $order->plan->title]);
        $failed = StickEvent::failuresOf($slug);
        try {
            $result = $order->madeOn === null
                ? (new StickBuilder($order->plan, $stick, $order->source, $progress))->build($failed)
                : self::proven($order, $stick, $progress);
            $content = [...$this->content($order, $result), ...self::found($stick)];
            if (! StickState::become($slug, StickCondition::Good, $content)) {
                throw BuildFailure::of(
                    'cancelled',
                    'The stick was retired while it was being built. It stays retired.',
                );
            }
            StickMark::clear($slug);
        } catch (BuildFailure $e) {
            if (! $e->touched && ! $stood) {
                StickState::become($slug, $before->condition ?? StickCondition::Blank, $before?->content);
                StickMark::clear($slug);
            }
            $this->failed($order, $e, $failed);
            throw $e;
        } finally {
            fclose($lock);
        }

        return self::note($order, $result);
    }

    /** @throws BuildFailure where it is not what was planned; nothing is written */
    private static function proven(BuildOrder $order, StickDevice $stick, BuildProgress $progress): BuildResult
    {
        $byContent = $order->madeOn?->script === HostScript::Own;
        $proof = (new ElsewhereProof($order->plan, $stick, $order->source, $byContent))->prove($progress);

        return new BuildResult(
            $proof->sums, $proof->label, 0.0, $proof->seconds, $proof->bytes, [], $proof->fingerprint,
        );
    }

    private static function note(BuildOrder $order, BuildResult $result): BuildResult
    {
        StickEvent::note(
            $order->slug,
            $order->madeOn === null ? 'built' : 'proven',
            [
                'title' => $order->plan->title,
                'bytes' => $result->bytes,
                'write_seconds' => round($result->writeSeconds, 3),
                'verify_seconds' => round($result->verifySeconds, 3),
                'attempts' => $result->attempts,
                'build' => $order->build,
            ],
            $order->user,
        );

        return $result;
    }

    /** @param  array<string, int>  $failed */
    private function failed(BuildOrder $order, BuildFailure $e, array $failed): void
    {
        [$slug, $user, $build] = [$order->slug, $order->user, $order->build];
        if ($e->kind === 'cancelled') {
            StickEvent::note($slug, 'cancelled', ['build' => $build], $user);

            return;
        }
        StickEvent::note(
            $slug,
            'failed',
            ['kinds' => [$e->kind], 'message' => $e->getMessage(), 'build' => $build],
            $user,
        );
        if (
            $e->touched &&
            $e->kind !== 'identity' &&
            FailureRule::after($e->kind, max(1, $failed[$e->kind] ?? 0))['retire']
        ) {
            StickState::become($slug, StickCondition::Retired, StickState::of($slug)->content);
            StickEvent::note($slug, 'retired', ['because' => $e->getMessage()], $user);
        }
    }

    /** @return array<string, mixed> */
    private function content(BuildOrder $order, BuildResult $result): array
    {
        [$plan, $about, $user] = [$order->plan, $order->about, $order->user];

        return [
            'title' => $plan->title,
            'image' => $plan->image->file,
            'image_sha256' => $plan->image->sha256,
            'mode' => $plan->mode->value,
            'label' => $result->label,
            'layout' => $plan->layout?->toArray(),
            'about' => $about,
            'written_bytes' => $result->bytes,
            'files' => count($result->sums),
            'drivers' => count(array_filter($plan->files, static fn ($file): bool => $file->from === 'drivers')),
            'drivers_mark' => StickContent::markOf($plan->files),
            ...self::answers($plan),
            'job' => $order->job,
            'made_on' => $order->madeOn?->name,
            'build' => $order->build,
            'sha256sums' => $result->sha256sums(),
            'fingerprint' => $result->fingerprint,
            'built_at' => now()->toIso8601String(),
            'user' => $user,
        ];
    }

    /** @return array{parts: mixed, start: string} what stands on it now */
    private static function found(StickDevice $stick): array
    {
        $path = $stick->path();

        return ['parts' => StickCore::read($path), 'start' => Fingerprint::ofStart(new FileSource($path))];
    }

    /** @return array{answers: string|null, answers_sha256: string|null} where the file of answers stands, if any */
    private static function answers(StickPlan $plan): array
    {
        foreach ($plan->files as $file) {
            if ($file->from === 'answers') {
                return ['answers' => $file->path, 'answers_sha256' => hash('sha256', (string) $file->text)];
            }
        }

        return ['answers' => null, 'answers_sha256' => null];
    }
}
