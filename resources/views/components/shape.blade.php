{{-- The shape of a state, drawn once a page and used by name. is: its name; label: what is read of it, or null --}}
@props(['is', 'label' => null])
{{ \Nomada\App\View\Shape::svg($is, $label) }}
