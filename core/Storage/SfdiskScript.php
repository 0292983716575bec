<?php

declare(strict_types=1);

namespace Cobblestone\Storage;

/** A layout as the script that `sfdisk` reads (rule M13). */
final class SfdiskScript
{
    public static function of(Layout $layout): string
    {
        $gpt = $layout->scheme === Scheme::Gpt;
        $lines = [
            'label: '.($gpt ? 'gpt' : 'dos'),
            'label-id: '.
            ($gpt ? $layout->diskGuid->text : '0x'.substr(bin2hex($layout->diskGuid->bytes()), 0, 8)),
            'unit: sectors',
            'sector-size: '.$layout->sector->value,
        ];
        if ($gpt) {
            $lines[] = 'first-lba: '.$layout->scheme->firstUsable($layout->sector);
            $lines[] = 'last-lba: '.$layout->scheme->lastUsable($layout->sector, $layout->sectors());
        }
        $lines[] = '';
        foreach ($layout->partitions as $partition) {
            $fields = ["start={$partition->extent->first}", "size={$partition->extent->count}"];
            if ($gpt) {
                $fields[] = 'type='.$partition->type->guid();
                $fields[] = 'uuid='.$layout->partitionGuid($partition)->text;
                $fields[] = 'name="'.preg_replace('/[^A-Za-z0-9 ._-]/', '', $partition->name).'"';
            } else {
                $fields[] = sprintf('type=%x', $partition->type->mbrCode($partition->fat32 !== null));
                if ($partition->active) {
                    $fields[] = 'bootable';
                }
            }
            $lines[] = implode(', ', $fields);
        }

        return implode("\n", $lines)."\n";
    }
}
