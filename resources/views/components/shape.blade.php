@props(['is', 'label' => null])
{{ \Nomada\App\View\Shape::svg($is, $label) }}
