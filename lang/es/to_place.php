<?php

// Series que aún no tienen hora.
return [
    'title' => 'Aún sin hora',
    'add' => 'Hora por buscar…',
    'is' => '1 sesión por semana de :minutes minutos|:count sesiones por semana de :minutes minutos',
    'find' => 'Buscar hora…',
    'by_hand' => 'Probar una hora',
    'drag' => 'Arrastra una a la semana, o ábrela para escribir una hora.',
    'all' => 'Las :n',
    'remove' => 'Quitar',
    'hint' => 'Una serie que hace falta y cuya hora está por buscar. Hasta entonces no tiene sesiones ni enlace.',
    'name' => 'Título',
    'name_hint' => 'Vacío: :title',
    'per_week' => 'Sesiones por semana, en días distintos',
    'minutes' => 'Minutos de una sesión',
    'from' => 'Desde',
    'from_hint' => 'Vacío: desde el comienzo del trimestre',
    'until' => 'Hasta',
    'until_hint' => 'Vacío: hasta el final del trimestre',
    'save' => 'Añadir',
];
