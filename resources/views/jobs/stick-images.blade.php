<h3>On the shelf</h3>
@if ($page->images === [])
<p>No image of {{ $page->wanted->system }}. <a href="/shelf">The shelf</a></p>
@else
<ul class="fits">
@foreach ($page->images as $fit)
<li class="{{ $fit->fits() ? 'can' : 'cannot' }}"><a class="mono" href="{{ $page->address($fit) }}">{{
    $fit->image->name
}}</a>
@foreach ($page->said($fit) as $line)
<br><span class="{{ $fit->fits() ? 'fine' : 'wrong-words' }}">{{ $line }}</span>
@endforeach
</li>
@endforeach
</ul>
@endif
