@if ($photos->isNotEmpty())
<ul class="inside">
@foreach ($photos as $photo)
<li><a href="/catalogue/machines/{{ $photo->model }}/photos/{{ $photo->id }}" hx-boost="false">
<img src="/catalogue/machines/{{ $photo->model }}/photos/{{ $photo->id }}" alt="{{ $photo->words }}" loading="lazy"></a>
<span>{{ $photo->words }}</span>
@if ($takesAway ?? false)
<form method="post" action="/catalogue/machines/{{ $photo->model }}/photos/{{ $photo->id }}/remove">@csrf
<button class="plain">take away</button></form>
@endif
</li>
@endforeach
</ul>
@endif
