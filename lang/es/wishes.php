<?php

// Horas a las que los docentes preferirían no dar clase.
return [
    'title' => 'Preferencias de los docentes',
    'sum' => 'Cuándo preferirían no dar clase',
    'none' => 'Aún no hay preferencias',
    'none_hint' => 'Añade los días y las horas a las que alguien preferiría no dar clase. Cuentan al calcular el '
        .'horario; '
        .'nada se mueve solo por ellas.',
    'teacher' => 'Docente',
    'when' => 'Cuándo no',
    'counts' => 'Cuenta como',
    'wish' => 'preferencia',
    'rule' => 'regla',
    'make_rule' => 'Convertir en regla',
    'make_wish' => 'Dejar como preferencia',
    'remove' => 'Quitar',
    'add' => 'Añadir una preferencia',
    'day' => 'Día',
    'between' => 'Entre',
    'whole_day' => 'todo el día',
    'hint' => 'Sin horas, el día entero. Solo coordinación puede convertirla en regla.',
];
