-- The log of who did what cannot be edited: laid by an administrator, as Banter's own account makes no triggers on a cluster.
-- «mariadb banter < deploy/cluster/deeds-stay.sql» on one node, once Banter has made its tables.
DELIMITER //
CREATE OR REPLACE TRIGGER deeds_no_update BEFORE UPDATE ON deeds FOR EACH ROW
  SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was done stays written.'//
CREATE OR REPLACE TRIGGER deeds_no_delete BEFORE DELETE ON deeds FOR EACH ROW
  IF NOT EXISTS (SELECT 1 FROM kennels WHERE kennels.id = OLD.kennelId AND kennels.demo) THEN
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was done stays written.';
  END IF//
DELIMITER ;
