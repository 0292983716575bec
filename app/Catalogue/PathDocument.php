<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Documents\BriefDocument;
use App\Documents\DocumentFault;
use Cobblestone\Brief\Brief;
use Cobblestone\Document\FieldFault;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Plan;
use InvalidArgumentException;

/** A path from a file: computed from a brief, or read from a plan that was written out. */
final class PathDocument
{
    private const LARGEST = 8_388_608;

    /**
     * @param  string|null  $catalogue  a folder of catalogue files; the shipped one where null
     *
     * @throws DocumentFault
     * @throws InvalidArgumentException for a file that is neither, or a damaged plan
     * @throws \DomainException
     */
    public static function plan(string $file, ?string $catalogue): Plan
    {
        $text =
            is_file($file) && filesize($file) <= self::LARGEST
                ? (string) file_get_contents($file)
                : throw new InvalidArgumentException("{$file}: there is no such file, or it is larger than 8 MiB.");
        if (! str_starts_with(ltrim($text), '{')) {
            $folder = CatalogueFolder::read((string) ($catalogue ?? config('cobblestone.catalogue')));

            return JobPlanner::plan(
                Brief::fromArray(BriefDocument::fromFile($file)),
                $folder->catalogue(),
                Policy::of(),
            );
        }
        $data = json_decode($text, true);
        if (! is_array($data) || ($data['plan'] ?? null) !== Plan::FORMAT) {
            throw new InvalidArgumentException(
                "{$file}: this is no plan of format ".Plan::FORMAT.'. Compute it anew with cobblestone:plan.',
            );
        }
        try {
            return Plan::fromArray($data);
        } catch (FieldFault $e) {
            throw new InvalidArgumentException(
                "{$file}: the plan is damaged ({$e->getMessage()}). Compute it anew with cobblestone:plan.",
            );
        }
    }
}
