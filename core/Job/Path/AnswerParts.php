<?php

declare(strict_types=1);

namespace Cobblestone\Job\Path;

use Cobblestone\Assessment\Requirements;
use Cobblestone\Findings\AnswersFound;
use Cobblestone\Install\AnswerFile;
use Cobblestone\Job\JobContext;
use Cobblestone\Media\MediaPlan;
use Cobblestone\Media\WriteMode;

/** The answer file of an install, and what it is made from (rule I4). */
final class AnswerParts
{
    public static function file(JobContext $context, MediaPlan $media, Requirements $requirements): AnswerFile
    {
        return AnswerFile::of(
            $context->system(),
            $media->mode === WriteMode::FilesCopied,
            $context->policy,
            self::values($context, $requirements),
        );
    }

    /** @return array<string, string|list<string>> */
    private static function values(JobContext $context, Requirements $requirements): array
    {
        return AnswerFile::values(
            $context->system(),
            $context->brief->firstBoot,
            $context->policy,
            $context->brief->edition,
            $requirements->bypassed(),
        );
    }

    /** What the answer file of this job is made from; null where it has none. */
    public static function found(JobContext $context, AnswerFile $file, Requirements $requirements): ?AnswersFound
    {
        return $file->profile === null ? null : new AnswersFound(
            $context->system()->id,
            $file->profile->path,
            $file->profile->format,
            self::values($context, $requirements),
        );
    }
}
