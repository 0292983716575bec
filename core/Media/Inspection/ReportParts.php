<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/**
 * The parts of a stored report, read back.
 *
 * @phpstan-import-type Compressed from ImageReport
 * @phpstan-import-type Counted from ImageReport
 * @phpstan-import-type Found from ImageReport
 * @phpstan-import-type StartImage from ImageReport
 * @phpstan-import-type Optical from ImageReport
 */
final class ReportParts
{
    /**
     * @return Compressed
     *
     * @throws FieldFault
     */
    public static function compressed(Fields $fields): array
    {
        return [
            'kind' => $fields->string('kind'), 'expanded_bytes' => $fields->optionalInt('expanded_bytes'),
            'hint' => $fields->optionalString('hint'),
            'members' => $fields->optionalInt('members') ?? 0,
            'faults' => $fields->strings('faults'),
        ];
    }

    /**
     * @return Counted
     *
     * @throws FieldFault
     */
    public static function counted(Fields $fields): array
    {
        $largest = $fields->optionalBlock('largest');

        return [
            'count' => $fields->int('count'),
            'directories' => $fields->int('directories'),
            'bytes' => $fields->int('bytes'),
            'largest' => $largest === null
                ? null
                : ['path' => $largest->string('path'), 'bytes' => $largest->int('bytes')],
            'complete' => $fields->optionalBool('complete') ?? true, 'tree' => $fields->optionalString('tree') ?? 'iso',
        ];
    }

    /**
     * @return StartImage
     *
     * @throws FieldFault
     */
    public static function startImage(Fields $fields): array
    {
        return [
            'platform' => $fields->string('platform'), 'bootable' => $fields->bool('bootable'),
            'media' => $fields->int('media'), 'at' => $fields->int('at'), 'bytes' => $fields->int('bytes'),
            'measured' => $fields->optionalBool('measured') ?? true,
        ];
    }

    /**
     * @return Optical
     *
     * @throws FieldFault
     */
    public static function optical(Fields $fields): array
    {
        return [
            'iso9660' => $fields->optionalBool('iso9660') ?? false,
            'joliet' => $fields->optionalBool('joliet') ?? false,
            'rock_ridge' => $fields->optionalBool('rock_ridge') ?? false,
            'udf' => $fields->optionalBool('udf') ?? false,
            'label' => $fields->optionalString('label'), 'stated_bytes' => $fields->optionalInt('stated_bytes'),
        ];
    }

    /**
     * @return Found
     *
     * @throws FieldFault
     */
    public static function found(Fields $fields): array
    {
        return [
            'path' => $fields->string('path'), 'where' => $fields->string('where'), 'place' => $fields->string('place'),
            'architecture' => $fields->string('architecture'), 'bytes' => $fields->int('bytes'),
            'fault' => $fields->optionalString('fault'), 'trust' => $fields->optionalString('trust'),
            'because' => $fields->string('because'),
            'signers' => $fields->strings('signers'),
            'digest' => $fields->optionalString('digest'),
        ];
    }
}
