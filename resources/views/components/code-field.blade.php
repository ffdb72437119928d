{{-- A one-time code. name, label, hint --}}
@props(['name', 'label', 'hint' => null])
<x-field :name="$name" :label="$label" :hint="$hint" autocomplete="one-time-code" autocapitalize="none" spellcheck="false" />
