@props(['title'])
<section {{ $attributes->class('panel') }}>
<h2>{{ $title }}</h2>
{{ $slot }}
</section>
