@php($slots = $sheet->bench->slots)
@php($width = 96)
<svg class="slots" style="max-width:{{ count($slots) * 130 }}px" viewBox="0 0 {{ count($slots) * $width + 8 }} 150" role="img" aria-label="{{ implode('; ', array_map(fn ($slot) => $slot.': '.(array_search($slot, $place, true) ?: 'empty'), $slots)) }}">
@foreach ($slots as $index => $slot)
@php($module = array_search($slot, $place, true))
@php($x = $index * $width + 8)
<path class="slot-rail" d="M{{ $x + 6 }} 118h{{ $width - 22 }}v8h-{{ $width - 22 }}z"/>
@if ($module !== false)
@php($convicted = $sheet->verdict->fault?->module === $module || $sheet->verdict->fault?->slot === $slot)
<path class="tile {{ $convicted ? 'bad' : '' }}" d="{{ \App\Drawing\StoneShape::slab($x + 4, 30, $width - 18, 84, "memory {$module}") }}"/>
<text x="{{ $x + ($width - 10) / 2 }}" y="66">{{ \Illuminate\Support\Str::limit($module, 7, '…') }}</text><text class="small" x="{{ $x + ($width - 10) / 2 }}" y="86">{{ $module === \Cobblestone\Assessment\Memory\MemoryBench::SPARE ? $sheet->bench->spare : ($sheet->bench->modules[$module] ?? '?') }} GiB</text>
@else
<path class="tile-empty" d="M{{ $x + 8 }} 108V40M{{ $x + $width - 18 }} 108V40"/><text class="small" x="{{ $x + ($width - 10) / 2 }}" y="80">empty</text>
@endif
<text class="small" x="{{ $x + ($width - 10) / 2 }}" y="143">{{ \Illuminate\Support\Str::limit($slot, 13, '…') }}</text>
@endforeach
</svg>
